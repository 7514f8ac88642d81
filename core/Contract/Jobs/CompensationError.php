<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Electrode\Nernst;

final readonly class CompensationError implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([
            'ph' => NumberShape::ph(),
            'sample_temperature_c' => NumberShape::celsius(),
            'compensation_temperature_c' => NumberShape::celsius(),
        ]);
    }

    public function answer(Input $in): array
    {
        return [
            'error_ph' => Nernst::compensationError(
                $in->number('ph'),
                $in->number('sample_temperature_c'),
                $in->number('compensation_temperature_c'),
            ),
        ];
    }
}
