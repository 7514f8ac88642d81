<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\Shape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;

/** How a limit stands in the input of several jobs. */
final class Limited
{
    /** @param array<string, Shape> $optional besides */
    public static function shape(array $optional = []): RecordShape
    {
        return RecordShape::of(
            [
                'name' => TextShape::any(),
                'kind' => TextShape::oneOf(array_column(LimitKind::cases(), 'value')),
                'op' => TextShape::oneOf(array_column(Comparison::cases(), 'value')),
            ],
            $optional,
        )->withOneOf(['value' => NumberShape::any()], ['low' => NumberShape::any(), 'high' => NumberShape::any()]);
    }

    public static function read(Input $in): Limit
    {
        $comparison = Comparison::from($in->text('op'));
        $kind = LimitKind::from($in->text('kind'));
        if ($in->has('value') === ($comparison === Comparison::Between)) {
            throw $in->refusal(
                $in->has('value') ? 'value' : 'low',
                $comparison === Comparison::Between
                    ? '"between" takes low and high, not value.'
                    : sprintf('"%s" takes value, not low and high.', $comparison->value),
            );
        }

        return $in->placing(
            static fn(): Limit => $in->has('value')
                ? Limit::edge($in->text('name'), $kind, $comparison, $in->number('value'))
                : Limit::between($in->text('name'), $kind, $in->number('low'), $in->number('high')),
        );
    }
}
