<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Board\DeadlineFacts;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Forecast;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Models\Batch;

/** By when a batch must have met what, and what its readings so far let expect. */
final class Deadlines
{
    /** @return list<DeadlineFacts> soonest first */
    public static function of(Batch $batch): array
    {
        $timed = array_filter($batch->product->judgedBy(), static fn(ProductLimit $limit): bool => $limit->applies === Applies::WithinHours && ($limit->condition === null || ($batch->conditions()[$limit->condition] ?? false)) && $batch->begun($limit->since) !== null);
        if ($timed === []) {
            return [];
        }
        $met = Series::metInTime($batch, null);
        $course = Series::course($batch);
        $deadlines = [];
        foreach ($timed as $limit) {
            $begun = $batch->begun($limit->since) ?? CarbonImmutable::instance($batch->started_at);
            $isMet = in_array($limit->limit->name, $met, true);
            $deadlines[] = new DeadlineFacts(
                $limit->limit->name,
                $limit->limit->kind,
                LimitWords::written($limit),
                $begun->addSeconds((int) round(3600 * (float) $limit->hours)),
                $isMet,
                $isMet ? null : self::forecast($batch, $limit, $begun, $course),
                (float) $limit->hours,
            );
        }
        usort($deadlines, static fn(DeadlineFacts $a, DeadlineFacts $b): int => $a->at <=> $b->at);

        return $deadlines;
    }

    /**
     * Of a falling pH that has to come down to an upper limit, on the clock of the batch.
     *
     * @param list<array{float, float}> $course
     */
    private static function forecast(Batch $batch, ProductLimit $limit, CarbonImmutable $begun, array $course): ?Forecast
    {
        if ($course === [] || $limit->measurand !== Measurand::Ph->value || $limit->limit->high === null || $limit->limit->low !== null) {
            return null;
        }
        $offset = $batch->started_at->diffInSeconds($begun) / 3600;
        $expandedU = $limit->limit->kind->binds() ? Series::newestU($batch) ?? 0.0 : 0.0;

        return Forecast::of($course, $limit->limit->high, $expandedU, $offset + (float) $limit->hours);
    }
}
