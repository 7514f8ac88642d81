<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Illuminate\Support\Collection;
use Rheacid\Batches\Deadline;
use Rheacid\Core\Numbers;
use Rheacid\Models\Batch;
use Rheacid\Models\Pair;
use Rheacid\Models\Measurement;
use Rheacid\SiteClock;

/** What running and held batches ask for. */
final class BatchTasks
{
    /**
     * A ferment under way is read at least once a day. Common practice, no source.
     *
     * @param Collection<int, Batch> $batches
     * @param Pair|null $ready what it could be read with
     *
     * @return list<Task>
     */
    public static function toMeasure(Collection $batches, ?Pair $ready): array
    {
        return array_values($batches->reject(static fn(Batch $batch): bool => $batch->wasReadToday())->map(static fn(Batch $batch): Task => new Task(
            'measure',
            "Measure {$batch->product->name} {$batch->code}",
            implode(' · ', array_filter([self::last($batch->currentMeasurements->last()), self::deadline($batch), $ready === null ? 'needs a calibrated pair first' : "{$ready->electrode->code} is ready"])),
            route('drafts.create', $batch),
            'Measure',
            $ready === null ? 'idle' : 'met',
        ))->all());
    }

    /**
     * @param Collection<int, Batch> $batches
     *
     * @return list<Task>
     */
    public static function held(Collection $batches): array
    {
        return array_values($batches->filter(static fn(Batch $batch): bool => $batch->state() === 'held')->map(static fn(Batch $batch): Task => new Task(
            'batch',
            "{$batch->code} is held",
            (string) $batch->newestEvent?->reason,
            route('batches.show', $batch),
            'Open',
            'fail',
        ))->all());
    }

    private static function last(?Measurement $reading): string
    {
        return $reading?->decision === null ? 'no reading yet' : sprintf('last %s, %s', Numbers::fixed($reading->decision->value_ph, 2), SiteClock::short($reading->observed_at));
    }

    private static function deadline(Batch $batch): ?string
    {
        $next = Deadline::next($batch);
        $outlook = $next?->outlook();

        return $next === null ? null : $next->words() . ($outlook === null ? '' : ": $outlook");
    }
}
