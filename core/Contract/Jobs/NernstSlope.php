<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Electrode\Nernst;

final readonly class NernstSlope implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(['temperature_c' => NumberShape::celsius()]);
    }

    public function answer(Input $in): array
    {
        return ['mv_per_ph' => Nernst::mvPerPh($in->number('temperature_c'))];
    }
}
