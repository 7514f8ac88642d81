<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Inconsistent;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Decision;
use Rheacid\Core\Limits\DecisionRule;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\LimitOutcome;

final readonly class Decide implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([
            'value' => NumberShape::any(),
            'expanded_u' => NumberShape::zeroOrMore(),
            'limits' => ListShape::of(RecordShape::of([
                'name' => TextShape::any(),
                'kind' => TextShape::oneOf(array_column(LimitKind::cases(), 'value')),
                'op' => TextShape::oneOf(array_column(Comparison::cases(), 'value')),
            ])->withOneOf(['value' => NumberShape::any()], ['low' => NumberShape::any(), 'high' => NumberShape::any()]), least: 0),
        ], ['rule' => TextShape::oneOf(array_column(DecisionRule::cases(), 'value'))]);
    }

    public function answer(Input $in): array
    {
        $limits = [];
        foreach ($in->records('limits') as $i => $limit) {
            $limits[] = self::limit($limit, "limits[$i]");
        }
        $decision = Decision::on($in->number('value'), $in->number('expanded_u'), $limits, DecisionRule::from($in->text('rule', DecisionRule::Guarded->value)));

        return [
            'outcomes' => array_map(static fn(LimitOutcome $outcome): array => [
                'name' => $outcome->limit->name,
                'kind' => $outcome->limit->kind->value,
                'outcome' => $outcome->outcome->value,
                'margin' => $outcome->margin,
            ], $decision->outcomes),
            'overall' => $decision->overall->value,
        ];
    }

    private static function limit(Input $in, string $path): Limit
    {
        $comparison = Comparison::from($in->text('op'));
        $kind = LimitKind::from($in->text('kind'));
        if ($in->has('value') === ($comparison === Comparison::Between)) {
            throw new Refusal(
                ErrorCode::Inconsistent,
                $path . ($in->has('value') ? '.value' : '.low'),
                $comparison === Comparison::Between ? '"between" takes low and high, not value.' : sprintf('"%s" takes value, not low and high.', $comparison->value),
            );
        }
        if ($in->has('value')) {
            return Limit::edge($in->text('name'), $kind, $comparison, $in->number('value'));
        }
        try {
            return Limit::between($in->text('name'), $kind, $in->number('low'), $in->number('high'));
        } catch (Inconsistent $failure) {
            throw Inconsistent::because($failure->getMessage(), "$path.low");
        }
    }
}
