<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Care\Priority;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\Queries\Batches\DeadlineFacts;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Site\SiteClock;

/** What running and held batches ask for. */
final class BatchTasks
{
    /** More than these stand on the list of batches. */
    private const MOST = 30;

    /**
     * A ferment under way is read at least once a day. Common practice, no source.
     *
     * @param list<BatchLine> $batches
     * @param PairLine|null $ready what it could be read with
     *
     * @return list<Task>
     */
    public static function toMeasure(array $batches, ?PairLine $ready): array
    {
        $waiting = array_values(array_filter($batches, static fn(BatchLine $batch): bool => !self::wasReadToday($batch)));
        $tasks = array_map(static function (BatchLine $batch) use ($ready): Task {
            $next = WhatIsNext::of($batch);

            return new Task(
                Priority::Measure,
                'measure',
                "Measure {$batch->product->name} $batch->code",
                self::detail($batch, $next, $ready),
                route('drafts.store', $batch->id),
                'Measure',
                $next->sign,
                // One tap begins as the last time, where that is possible.
                act: 'usual',
            );
        }, array_slice($waiting, 0, self::MOST));
        $more = count($waiting) - count($tasks);

        return $more > 0
            ? [
                ...$tasks,
                new Task(Priority::Measure, 'measure', "Measure $more more", 'not read today', route('measure'), 'See them', 'idle'),
            ]
            : $tasks;
    }

    /**
     * @param list<BatchLine> $batches
     *
     * @return list<Task>
     */
    public static function held(array $batches): array
    {
        $held = array_filter($batches, static fn(BatchLine $batch): bool => $batch->state === BatchState::Held);

        return array_map(
            static fn(BatchLine $batch): Task => new Task(
                Priority::HeldBatch,
                'batch',
                "$batch->code is held",
                $batch->story->reason(),
                route('batches.show', $batch->id),
                'Open',
                'fail',
            ),
            array_slice(array_values($held), 0, self::MOST),
        );
    }

    /** The newest value and what is next: 4.62 ± 0.06 · pH ≤ 4.6 by Tue 11:40, 0.08 to go, not certain · E-07 is ready. */
    private static function detail(BatchLine $batch, WhatIsNext $next, ?PairLine $ready): string
    {
        $value
            = $batch->reading->shown() === null
                ? null
                : $batch->reading->shown() . ($batch->reading->shownU() === null ? '' : " ± {$batch->reading->shownU()}");

        return implode(
            ' · ',
            array_filter([$value, $next->short, $next->then, $ready === null ? 'calibrate a pair first' : "$ready->code is ready"]),
        );
    }

    public static function wasReadToday(BatchLine $batch): bool
    {
        return $batch->reading->readAt !== null
            && SiteClock::local($batch->reading->readAt)->isSameDay(SiteClock::local(CarbonImmutable::now()));
    }

    /** By when what must be met, in words. */
    public static function due(DeadlineFacts $deadline): string
    {
        return sprintf('%s %s %s', $deadline->written, $deadline->at->isPast() ? 'was due' : 'by', SiteClock::short($deadline->at));
    }

    /** Red where the deadline has passed or will be missed; without a forecast nothing is known yet, which is no alarm. */
    public static function sign(DeadlineFacts $deadline): string
    {
        $verdict = $deadline->forecast?->verdict;

        return match (true) {
            $deadline->at->isPast() => 'fail',
            $verdict === null => 'idle',
            default => ForecastWords::sign($verdict),
        };
    }

    /** What is expected, in words; null where nothing is, or the deadline has passed. */
    public static function outlook(BatchLine $batch, DeadlineFacts $deadline): ?string
    {
        return match (true) {
            $deadline->at->isPast() => 'not proven in time',
            $deadline->forecast === null => null,
            default => ForecastWords::sentence(
                $deadline->forecast,
                static fn(float $hours): string => SiteClock::short($batch->since->addSeconds((int) round($hours * 3600))),
            ),
        };
    }
}
