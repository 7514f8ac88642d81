<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Models\Batch;

/** By when a batch must have met what, and what its readings so far let expect. */
final class Deadlines
{
    /**
     * @param PhCurve|null $curve of the batch; null: it is read
     *
     * @return list<DeadlineFacts> soonest first; what a lead has let stand is none any more
     */
    public static function of(Batch $batch, ?PhCurve $curve = null): array
    {
        $answers = $batch->conditions();
        $timed = array_filter(
            $batch->judgedBy(),
            static fn(ProductLimit $limit): bool => $limit->applies === Applies::WithinHours
                && ($limit->condition === null || ($answers[$limit->condition] ?? false))
                && $batch->begun($limit->since) !== null,
        );
        if ($timed === []) {
            return [];
        }
        $met = Series::metInTime($batch, null);
        $curve ??= Series::phCurve($batch);
        $newest = $curve->newest();
        $disposed = StandingDispositions::standing($batch);
        $deadlines = [];
        foreach ($timed as $limit) {
            $name = $limit->limit->name;
            if (array_key_exists($name, $disposed) && $disposed[$name] === null) {
                continue;
            }
            $hours = $disposed[$name] ?? (float) $limit->hours;
            $begun = $batch->begun($limit->since) ?? CarbonImmutable::instance($batch->started_at);
            $isMet = in_array($name, $met, true);
            $deadlines[] = new DeadlineFacts(
                $name,
                $limit->limit->kind,
                LimitWords::written($limit),
                $begun->addSeconds((int) round(3600 * $hours)),
                $isMet,
                $isMet ? null : self::forecast($batch, $limit, $hours, $begun, $curve),
                $hours,
                $isMet || $newest === null || $limit->measurand !== Measurand::Ph->value
                    ? null
                    : LimitWords::toGo($limit, $newest[1], $curve->newestU),
            );
        }
        usort($deadlines, static fn(DeadlineFacts $a, DeadlineFacts $b): int => $a->at <=> $b->at);

        return $deadlines;
    }

    /** Of a falling pH that has to come down to an upper limit, on the clock of the batch. */
    private static function forecast(Batch $batch, ProductLimit $limit, float $hours, CarbonImmutable $begun, PhCurve $curve): ?Forecast
    {
        if (
            $curve->points === []
            || $limit->measurand !== Measurand::Ph->value
            || $limit->limit->high === null
            || $limit->limit->low !== null
        ) {
            return null;
        }
        $offset = $batch->started_at->diffInSeconds($begun) / 3600;
        $expandedU = $limit->limit->kind->binds() ? $curve->newestU ?? 0.0 : 0.0;

        return Forecast::of($curve->points, $limit->limit->high, $expandedU, $offset + $hours);
    }
}
