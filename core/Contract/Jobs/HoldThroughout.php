<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Courses\Throughout;
use Rheacid\Core\Limits\Comparison;

final readonly class HoldThroughout implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'temperatures' => ListShape::of(ListShape::pair(NumberShape::any(), NumberShape::celsius())),
                'op' => TextShape::oneOf([Comparison::AtMost->value, Comparison::AtLeast->value]),
                'value_c' => NumberShape::celsius(),
                'from_h' => NumberShape::any(),
            ],
            [
                'expanded_u_c' => NumberShape::zeroOrMore(),
                'hours' => NumberShape::positive(),
                'now_h' => NumberShape::any(),
                'gap_h' => NumberShape::positive(),
                'left_out' => Stretches::shape(),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $temperatures = $in->pairs('temperatures');
        assert($temperatures !== []);
        $held = Stretches::placing(
            static fn(): Throughout => Throughout::of(
                $temperatures,
                $in->number('expanded_u_c', 0.0),
                Comparison::from($in->text('op')),
                $in->number('value_c'),
                $in->number('from_h'),
                $in->numberOrNull('hours'),
                $in->numberOrNull('now_h'),
                $in->number('gap_h', Throughout::GAP_H),
                Stretches::read($in),
            ),
        );

        return [
            'verdict' => $held->verdict->value,
            'worst_c' => $held->worstC,
            'first_outside_h' => $held->firstOutsideH,
            'covered_h' => $held->coveredH,
            'gaps' => $held->gaps,
        ];
    }
}
