<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Models\Batch;
use Rheacid\Models\BoardPart;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Deviation;
use Rheacid\Models\Person;
use Rheacid\Models\Site;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Queries\Batches\DeadlineFacts;
use Rheacid\Queries\Batches\Deadlines;
use Rheacid\Queries\Batches\OccasionContext;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Batches\StandingDispositions;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** What nobody read in time is recorded by the site itself, and holds the batch where it binds. */
final class RecordMissedDeadlines
{
    /** @return int how many were recorded */
    public function __invoke(): int
    {
        $site = Site::current()?->person;
        if ($site === null) {
            return 0;
        }
        $recorded = 0;
        $known = null;
        foreach (Lines::everyBatch() as $line) {
            foreach ($line->due->deadlines() as $deadline) {
                if ($deadline->isMet || !$deadline->at->isPast()) {
                    continue;
                }
                $known ??= self::known();
                if (($known["$line->id\0$deadline->name"] ?? '') < $deadline->at->utc()->format('Y-m-d H:i:s.v')) {
                    $recorded += $this->record($site, $line, $deadline) ? 1 : 0;
                }
            }
        }

        return $recorded;
    }

    /** @return array<string, string> of live batches, when a reading after the deadline, or the site before, has last said so */
    private static function known(): array
    {
        $known = [];
        $said = DB::table('deviations')
            ->join(
                'board',
                static fn($on) => $on
                    ->on('board.thing_id', '=', 'deviations.batch_id')
                    ->where('board.part', BoardPart::Batch->value)
                    ->where('board.is_live', true),
            )
            ->where('is_missed_in_time', true)
            ->groupBy('batch_id', 'limit_name')
            ->selectRaw('batch_id, limit_name, max(deviations.at) as newest');
        foreach ($said->get() as $row) {
            $known["$row->batch_id\0$row->limit_name"] = (string) $row->newest;
        }

        return $known;
    }

    private function record(Person $site, BatchLine $line, DeadlineFacts $nominated): bool
    {
        try {
            Recording::once($site, IdempotencyKey::own(), 'record a missed deadline', Deviation::class, static function (Entry $entry) use (
                $line,
                $nominated,
            ): Deviation {
                $batch = BatchMoves::ensure(Batch::query()->findOrFail($line->id), null);
                $deadline = self::missed($batch, $nominated) ?? throw new NotSoAnyMore();

                return self::keep($entry, $batch, $deadline);
            });
        } catch (NotSoAnyMore) {
            return false;
        }

        return true;
    }

    /**
     * The board only nominates: the records are asked again once nobody can write. Nothing is missed while a sample that was drawn in time
     * still waits for one of its places.
     */
    private static function missed(Batch $batch, DeadlineFacts $nominated): ?DeadlineFacts
    {
        $limits = array_values(
            array_filter($batch->judgedBy(), static fn(ProductLimit $limit): bool => $limit->limit->name === $nominated->name),
        );
        foreach ($limits === [] ? [] : OpenOccasions::open($batch) as $open) {
            if (OccasionContext::answeredBy($open, $batch, $limits, StandingDispositions::standing($batch)) !== []) {
                return null;
            }
        }
        foreach ($limits === [] ? [] : Deadlines::of($batch) as $deadline) {
            if ($deadline->name === $nominated->name && !$deadline->isMet && $deadline->at->isPast()) {
                return $deadline;
            }
        }

        return null;
    }

    private static function keep(Entry $entry, Batch $batch, DeadlineFacts $deadline): Deviation
    {
        $limits = array_filter($batch->judgedBy(), static fn(ProductLimit $limit): bool => $limit->limit->name === $deadline->name);
        $what = new Statement(StatementCode::DeadlineMissed, [
            ...DecisionLimit::limitFacts(array_values($limits)[0]),
            'due_at' => $deadline->at->utc()->format('Y-m-d\TH:i:s\Z'),
        ]);
        $open = BatchHistory::undecided($batch->id, $deadline->name);
        $deviation
            = $open !== null && Consequences::isSaid($open->is_missed_in_time === true, true)
                ? $open
                : BatchMoves::open($entry, $batch, $deadline->name, $deadline->kind, true, $what, null);
        if ($deadline->kind->binds() && $batch->state()->mayBecome(BatchState::Held)) {
            BatchMoves::move($entry, $batch, BatchState::Held, $what);
        }

        return $deviation;
    }
}
