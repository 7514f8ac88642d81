<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Thermometry\LinearCorrection;

final readonly class TwoPointCorrection implements Job
{
    public function shape(): RecordShape
    {
        $point = RecordShape::of(['reference_c' => NumberShape::thermometerCelsius(), 'reading_c' => NumberShape::thermometerCelsius()]);

        return RecordShape::of(['low' => $point, 'high' => $point, 'reading_c' => NumberShape::thermometerCelsius()]);
    }

    public function answer(Input $in): array
    {
        $point = static fn(Input $point): array => ['reference' => $point->number('reference_c'), 'reading' => $point->number('reading_c')];
        $correction = LinearCorrection::through($point($in->record('low')), $point($in->record('high')));

        return [
            'gain' => $correction->gain,
            'offset_c' => $correction->offsetC,
            'corrected_c' => $correction->correct($in->number('reading_c')),
        ];
    }
}
