<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Rheacid\Core\Limits\AfterAddition;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Deviation;
use Rheacid\Models\Occasion;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;
use Rheacid\Records\Statement;

/** What a batch may become, and the deviations that stand open on it. */
final class Life
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
        Batch::query()->lockForUpdate()->findOrFail($batch->id);

        return Batch::query()->with(Batch::JUDGED)->findOrFail($batch->id);
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

    /** Whether it was ever released. */
    public static function hasGoneOut(Batch $batch): bool
    {
        return BatchEvent::query()->where('batch_id', $batch->id)->where('state', BatchState::Released)->exists();
    }

    /** Whether something was added, and nothing was drawn since. */
    public static function awaitsReading(Batch $batch): bool
    {
        $added = Addition::query()->where('batch_id', $batch->id)->where('state', Addition::DONE)->max('at');
        $drawn = is_string($added) ? Occasion::query()->where('batch_id', $batch->id)->max('drawn_at') : null;

        return AfterAddition::isReadingAwaited(
            is_string($added) ? CarbonImmutable::parse($added, 'UTC') : null,
            is_string($drawn) ? CarbonImmutable::parse($drawn, 'UTC') : null,
        );
    }

    /** The deviation that stands open on that limit; it is opened if there is none. */
    public static function deviate(
        Entry $entry,
        Batch $batch,
        string $limit,
        LimitKind $kind,
        bool $isMissedInTime,
        Statement $what,
        ?int $decisionId,
        bool $isAfterRelease = false,
    ): Deviation {
        $open = Deviation::query()
            ->where('batch_id', $batch->id)
            ->where('limit_name', $limit)
            ->whereDoesntHave('disposition')
            ->orderByDesc('id')
            ->first();
        // One that says less than what is known now does not stand for it.
        return $open !== null && (!$isMissedInTime || $open->is_missed_in_time === true)
            ? $open
            : $entry->add(
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

    /** @return Builder<Deviation> of binding limits, that nobody has decided about */
    public static function open(int $batchId): Builder
    {
        return Deviation::query()
            ->where('batch_id', $batchId)
            ->whereIn('kind', LimitKind::binding())
            ->whereDoesntHave('disposition');
    }

    /** The last time it was held, by somebody's word or by what they recorded. */
    public static function hold(Batch $batch): ?BatchEvent
    {
        return BatchEvent::query()->where('batch_id', $batch->id)->where('state', BatchState::Held)->orderByDesc('id')->first();
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
