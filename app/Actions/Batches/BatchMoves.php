<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Deviation;
use Rheacid\Models\Statement;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;

/** What actions on a batch share: it is locked, may only become what can follow, and its deviations are opened. */
final class BatchMoves
{
    /**
     * The batch, locked until the action is done: two people deciding at once follow one another.
     *
     * @param BatchState|null $next what it is to become; null where it only has to be measured still
     *
     * @throws Refused where that cannot follow
     */
    public static function ensure(Batch $batch, ?BatchState $next): Batch
    {
        $batch = self::locked($batch);
        $state = $batch->state();
        if ($next !== null) {
            self::ensureMay($batch, $next);
        } elseif (!$state->isMeasured() && $state !== BatchState::Planned) {
            throw Refused::because("$batch->code is $state->value; nothing more can be recorded.", 'state');
        }

        return $batch;
    }

    /** The same, whatever its state: with all by which it is judged. */
    public static function locked(Batch $batch): Batch
    {
        return Batch::query()->with(Batch::JUDGED)->lockForUpdate()->findOrFail($batch->id);
    }

    /** @throws Refused where that cannot follow */
    public static function ensureMay(Batch $batch, ?BatchState $next): void
    {
        if ($next !== null && !$batch->state()->mayBecome($next)) {
            throw Refused::because(sprintf('%s is %s; it cannot become %s.', $batch->code, $batch->state()->value, $next->value), 'state');
        }
    }

    /** @param string|null $told of a recall: who was told what */
    public static function move(
        Entry $entry,
        Batch $batch,
        BatchState $next,
        Statement|string|null $reason,
        ?string $told = null,
    ): BatchEvent {
        return $entry->add(
            new BatchEvent([
                'batch_id' => $batch->id,
                'state' => $next,
                'at' => $entry->at,
                'reason' => is_string($reason) ? mb_strimwidth($reason, 0, 400, '…') : $reason,
                'told' => $told,
                'person_id' => $entry->by->id,
            ]),
        );
    }

    /** A deviation that nobody has decided about yet. */
    public static function open(
        Entry $entry,
        Batch $batch,
        string $limit,
        LimitKind $kind,
        bool $isMissedInTime,
        Statement $what,
        ?int $decisionId,
        bool $isAfterRelease = false,
    ): Deviation {
        return $entry->add(
            new Deviation([
                'batch_id' => $batch->id,
                'decision_id' => $decisionId,
                'limit_name' => $limit,
                'kind' => $kind,
                'is_missed_in_time' => $isMissedInTime,
                'what' => $what,
                'is_after_release' => $isAfterRelease,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
    }

    /** The moment of a step that was typed: not in the future, not before the batch began. @throws Refused */
    public static function moment(Batch $batch, CarbonImmutable $at, CarbonImmutable $now): CarbonImmutable
    {
        if ($at->greaterThan($now)) {
            throw Refused::because('That is in the future. Type a time up to now.', 'at');
        }
        if ($at->lessThan($batch->started_at)) {
            throw Refused::because('That is before the batch started.', 'at');
        }

        return $at;
    }
}
