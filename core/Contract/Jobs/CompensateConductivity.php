<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;

final readonly class CompensateConductivity implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['us_per_cm' => NumberShape::zeroOrMore(), 'temperature_c' => NumberShape::celsius()],
            ['percent_per_c' => NumberShape::any(), 'cell_factor' => NumberShape::positive(), 'offset_us' => NumberShape::any()],
        );
    }

    public function answer(Input $in): array
    {
        $found = Conductivity::compensated(
            $in->number('us_per_cm'),
            $in->number('temperature_c'),
            $in->number('percent_per_c', Conductivity::PERCENT_PER_C),
            $in->number('cell_factor', 1.0),
            $in->number('offset_us', 0.0),
        );

        return ['us_per_cm_25' => $found->usPerCm25, 'tds_500_ppm' => $found->tds500Ppm(), 'tds_700_ppm' => $found->tds700Ppm()];
    }
}
