<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Rheacid\Core\Batches\AfterAddition;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Deviation;
use Rheacid\Models\Occasion;

/** What became of a batch so far. */
final class BatchHistory
{
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

    /** @return Builder<Deviation> of binding limits, that nobody has decided about */
    public static function openDeviations(int $batchId): Builder
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
}
