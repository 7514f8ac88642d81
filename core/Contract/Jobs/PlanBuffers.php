<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\CountShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferPlan;

final readonly class PlanBuffers implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'expected_ph' => ListShape::of(ListShape::range(NumberShape::ph())),
                'on' => TextShape::date(),
                'lots' => ListShape::of(
                    RecordShape::of([
                        'id' => TextShape::any(),
                        'buffer' => TextShape::any(),
                        'nominal_ph' => NumberShape::ph(),
                        'expires_on' => TextShape::date(),
                        'uses_left' => new CountShape(0),
                    ]),
                    least: 0,
                ),
            ],
            ['minimum_span' => NumberShape::zeroOrMore()],
        );
    }

    public function answer(Input $in): array
    {
        $lots = [];
        foreach ($in->records('lots') as $lot) {
            if (isset($lots[$lot->text('id')])) {
                throw $lot->refusal('id', sprintf('The lot "%s" appears twice.', $lot->text('id')));
            }
            $lots[$lot->text('id')] = new BufferLot(
                $lot->text('id'),
                $lot->text('buffer'),
                $lot->number('nominal_ph'),
                $lot->text('expires_on'),
                $lot->count('uses_left'),
            );
        }
        $expected = $in->pairs('expected_ph');
        assert($expected !== []);
        $plan = BufferPlan::for($expected, $in->text('on'), array_values($lots), $in->number('minimum_span', Criteria::LEAST_SPAN_PH));

        return [
            'points' => array_map(
                static fn(BufferLot $lot): array => ['buffer' => $lot->buffer, 'lot' => $lot->id, 'nominal_ph' => $lot->nominalPh],
                $plan->points,
            ),
            'brackets' => $plan->brackets(),
            'outside_by_ph' => $plan->outsideByPh,
            'rejected' => $plan->rejected,
        ];
    }
}
