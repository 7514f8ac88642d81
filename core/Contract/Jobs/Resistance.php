<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Thermometry\Rtd;

final readonly class Resistance implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([], ['r0' => NumberShape::positive()])->withOneOf(
            ['temperature_c' => NumberShape::thermometerCelsius()],
            ['ohm' => NumberShape::positive()],
        );
    }

    public function answer(Input $in): array
    {
        $r0 = $in->number('r0', 100.0);
        $ohm = $in->numberOrNull('ohm');

        return $ohm === null
            ? ['temperature_c' => $in->number('temperature_c'), 'ohm' => Rtd::ohm($in->number('temperature_c'), $r0)]
            : ['temperature_c' => Rtd::celsius($ohm, $r0), 'ohm' => $ohm];
    }
}
