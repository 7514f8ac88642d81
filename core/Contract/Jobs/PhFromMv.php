<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;

final readonly class PhFromMv implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['calibration' => Calibrated::shape(), 'mv' => NumberShape::millivolt(), 'temperature_c' => NumberShape::celsius()],
            ['compensation_temperature_c' => NumberShape::celsius()],
        );
    }

    public function answer(Input $in): array
    {
        $reading = Calibrated::read($in->record('calibration'))
            ->read($in->number('mv'), $in->number('temperature_c'), $in->numberOrNull('compensation_temperature_c'));

        return [
            'ph' => $reading->ph,
            'segment' => $reading->segment,
            'inside_bracket' => $reading->insideBracket(),
            'outside_by_ph' => $reading->outsideByPh(),
        ];
    }
}
