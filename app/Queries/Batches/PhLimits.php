<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Urgency\Wall;
use Rheacid\Models\Batch;

/** The limits on pH of a batch, on its clock. */
final class PhLimits
{
    /**
     * @return list<array{limit: ProductLimit, from: float|null}> those whose condition is true; hours from the start on, null where a stage
     *     makes it due or its step has not begun
     */
    public static function of(Batch $batch): array
    {
        $answers = $batch->conditions();
        $limits = array_values(
            array_filter(
                $batch->judgedBy(),
                static fn(ProductLimit $limit): bool => $limit->measurand === Measurand::Ph->value
                    && ($limit->condition === null || ($answers[$limit->condition] ?? false)),
            ),
        );

        return array_map(static fn(ProductLimit $limit): array => ['limit' => $limit, 'from' => self::from($limit, $batch)], $limits);
    }

    /**
     * The one that a small drawing has a place for.
     *
     * @param string|null $next name of the deadline that comes next
     *
     * @return array{low: float|null, high: float|null, from: float, met: bool}|null
     */
    public static function next(Batch $batch, ?string $next): ?array
    {
        $walls = array_values(
            array_filter(
                array_map(
                    static fn(array $wall): ?Wall => $wall['from'] === null ? null : new Wall($wall['limit']->limit, $wall['from']),
                    self::of($batch),
                ),
            ),
        );
        $wall = Wall::toDraw($walls, $next);

        return $wall === null
            ? null
            : ['low' => $wall->limit->low, 'high' => $wall->limit->high, 'from' => $wall->fromH, 'met' => $wall->limit->name !== $next];
    }

    private static function from(ProductLimit $limit, Batch $batch): ?float
    {
        $begun = $batch->begun($limit->since);

        return match (true) {
            $limit->applies === Applies::Always => 0.0,
            $limit->applies === Applies::WithinHours && $begun !== null => $batch->started_at->diffInSeconds($begun) / 3600
                + (float) $limit->hours,
            default => null,
        };
    }
}
