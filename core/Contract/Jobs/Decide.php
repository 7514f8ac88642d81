<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Limits\DecisionRule;
use Rheacid\Core\Limits\JudgedValue;
use Rheacid\Core\Limits\LimitConformity;

final readonly class Decide implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'value' => NumberShape::any(),
                'expanded_u' => NumberShape::zeroOrMore(),
                'limits' => ListShape::of(Limited::shape(), least: 0),
            ],
            ['rule' => TextShape::oneOf(array_column(DecisionRule::cases(), 'value'))],
        );
    }

    public function answer(Input $in): array
    {
        $limits = array_map(Limited::read(...), $in->records('limits'));
        $decision = JudgedValue::on(
            $in->number('value'),
            $in->number('expanded_u'),
            $limits,
            DecisionRule::from($in->text('rule', DecisionRule::Guarded->value)),
        );

        return [
            'outcomes' => array_map(
                static fn(LimitConformity $one): array => [
                    'name' => $one->limit->name,
                    'kind' => $one->limit->kind->value,
                    'outcome' => $one->conformity->value,
                    'margin' => $one->margin,
                ],
                $decision->outcomes,
            ),
            'overall' => $decision->overall->value,
        ];
    }
}
