<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Rheacid\Board\BatchLine;
use Rheacid\Board\DeadlineFacts;
use Rheacid\Board\PairLine;
use Rheacid\Core\Care\Priority;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Core\Limits\DeadlineWarning;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\SiteClock;

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
        $tasks = array_map(static fn(BatchLine $batch): Task => new Task(
            Priority::Measure,
            'measure',
            "Measure $batch->product $batch->code",
            implode(' · ', array_filter([self::last($batch), self::deadline($batch), $ready === null ? 'needs a calibrated pair first' : "$ready->code is ready"])),
            route('drafts.create', $batch->id),
            'Measure',
            $ready === null ? 'idle' : 'met',
        ), array_slice($waiting, 0, self::MOST));
        $more = count($waiting) - count($tasks);

        return $more > 0 ? [...$tasks, new Task(Priority::Measure, 'measure', "Measure $more more", 'not read today', route('measure'), 'See them', 'idle')] : $tasks;
    }

    /**
     * @param list<BatchLine> $batches
     *
     * @return list<Task>
     */
    public static function held(array $batches): array
    {
        $held = array_filter($batches, static fn(BatchLine $batch): bool => $batch->state === BatchState::Held);

        return array_map(static fn(BatchLine $batch): Task => new Task(Priority::HeldBatch, 'batch', "$batch->code is held", (string) $batch->reason, route('batches.show', $batch->id), 'Open', 'fail'), array_slice(array_values($held), 0, self::MOST));
    }

    public static function wasReadToday(BatchLine $batch): bool
    {
        return $batch->readAt !== null && SiteClock::local($batch->readAt)->isSameDay(SiteClock::local(CarbonImmutable::now()));
    }

    /** By when what must be met, in words. */
    public static function due(DeadlineFacts $deadline): string
    {
        return sprintf('%s %s %s', $deadline->written, $deadline->at->isPast() ? 'was due' : 'by', SiteClock::short($deadline->at));
    }

    /** Red where the deadline has passed, or nothing lets expect that it will be met. */
    public static function sign(DeadlineFacts $deadline): string
    {
        $verdict = $deadline->forecast?->verdict;

        return $deadline->at->isPast() || $verdict === null ? 'fail' : ForecastWords::sign($verdict);
    }

    /** What is expected, in words; null where nothing is, or the deadline has passed. */
    public static function outlook(BatchLine $batch, DeadlineFacts $deadline): ?string
    {
        return match (true) {
            $deadline->at->isPast() => 'not proven in time',
            $deadline->forecast === null => null,
            default => ForecastWords::sentence($deadline->forecast, static fn(float $hours): string => SiteClock::short($batch->since->addSeconds((int) round($hours * 3600)))),
        };
    }

    /** What is warned of, in one line. */
    public static function warned(BatchLine $batch, DeadlineFacts $deadline, DeadlineWarning $warning): string
    {
        $outlook = self::outlook($batch, $deadline);

        return rtrim(self::due($deadline) . match ($warning) {
            DeadlineWarning::AtRisk => ' is at risk',
            DeadlineWarning::Soon => sprintf(' is not met yet, %s left', CarbonImmutable::now()->diffForHumans($deadline->at, syntax: CarbonInterface::DIFF_ABSOLUTE, parts: 2)),
        } . ($outlook === null ? '' : ": $outlook"), '.') . '.';
    }

    private static function last(BatchLine $batch): string
    {
        return $batch->value === null || $batch->readAt === null ? 'no reading yet' : sprintf('last %s, %s', Numbers::fixed($batch->value, $batch->measurand?->decimals() ?? 2), SiteClock::short($batch->readAt));
    }

    private static function deadline(BatchLine $batch): ?string
    {
        $next = $batch->next();
        $outlook = $next === null ? null : self::outlook($batch, $next);

        return $next === null ? null : self::due($next) . ($outlook === null ? '' : ": $outlook");
    }
}
