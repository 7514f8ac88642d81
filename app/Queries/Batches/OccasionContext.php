<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Numbers;
use Rheacid\Models\Batch;
use Rheacid\Models\Occasion as Drawn;

/** Gathers what an occasion of a batch is judged by besides its readings. */
final class OccasionContext
{
    /**
     * @param CarbonImmutable $at of which it tells
     * @param int|null $occasionId where it is on record already
     * @param list<array{measurand: string, basis: string, places: list<string>}> $lacking quantities of which places are missing
     */
    public static function of(Batch $batch, Stage $stage, CarbonImmutable $at, ?int $occasionId, array $lacking): Occasion
    {
        $occasion = new Occasion(
            $stage,
            $batch->hoursSince($at),
            $batch->conditions(),
            Series::metInTime($batch, $occasionId, $at),
            StandingDispositions::standing($batch),
            array_map(static fn(array $one): array => ['measurand' => $one['measurand'], 'basis' => $one['basis']], $lacking),
        );

        return $occasion->awaiting(self::awaited($batch, $occasion, $occasionId));
    }

    /** @return list<string> limits that another open occasion will answer, drawn by their deadline */
    private static function awaited(Batch $batch, Occasion $occasion, ?int $occasionId): array
    {
        $timed = array_filter(
            $batch->judgedBy(),
            static fn(ProductLimit $limit): bool => $limit->hours !== null && $limit->isPast($occasion),
        );
        $open = $timed === [] ? [] : array_filter(OpenOccasions::open($batch), static fn(Drawn $one): bool => $one->id !== $occasionId);
        $names = [];
        foreach ($open as $other) {
            $names = [...$names, ...self::answeredBy($other, $batch, array_values($timed), $occasion->disposed)];
        }

        return array_values(array_unique($names));
    }

    /**
     * @param list<ProductLimit> $timed
     * @param array<string, float|null> $disposed
     *
     * @return list<string> those whose quantity it lacks places of, and by whose deadline it was drawn
     */
    public static function answeredBy(Drawn $open, Batch $batch, array $timed, array $disposed): array
    {
        $hours = $batch->hoursSince(OpenOccasions::lastDrawn($open));
        $names = [];
        foreach (OpenOccasions::lacking($open, $batch) as $lacking) {
            foreach ($timed as $limit) {
                $clock = $hours[$limit->since] ?? null;
                if (
                    $limit->measurand === $lacking['measurand']
                    && $limit->basis === $lacking['basis']
                    && $clock !== null
                    && Numbers::atMost($clock, $disposed[$limit->limit->name] ?? (float) $limit->hours)
                ) {
                    $names[] = $limit->limit->name;
                }
            }
        }

        return $names;
    }
}
