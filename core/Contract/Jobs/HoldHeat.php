<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Courses\HeatHold;

final readonly class HoldHeat implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'temperatures' => ListShape::of(ListShape::pair(NumberShape::any(), NumberShape::celsius())),
                'minimum_c' => NumberShape::celsius(),
                'minutes' => NumberShape::positive(),
            ],
            [
                'expanded_u_c' => NumberShape::zeroOrMore(),
                'gap_minutes' => NumberShape::positive(),
                'begin_minute' => NumberShape::any(),
                'end_minute' => NumberShape::any(),
                'left_out' => Stretches::shape(),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $temperatures = $in->pairs('temperatures');
        assert($temperatures !== []);
        $hold = Stretches::placing(
            static fn(): HeatHold => HeatHold::of(
                $temperatures,
                $in->number('expanded_u_c', 0.0),
                $in->number('minimum_c'),
                $in->number('minutes'),
                $in->number('gap_minutes', HeatHold::GAP_MIN),
                $in->numberOrNull('begin_minute'),
                $in->numberOrNull('end_minute'),
                Stretches::read($in),
            ),
        );

        return [
            'longest_minutes' => $hold->longestMinutes,
            'met' => $hold->isMet,
            'from_minute' => $hold->fromMinute,
            'to_minute' => $hold->toMinute,
        ];
    }
}
