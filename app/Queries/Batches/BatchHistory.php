<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
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

    /** The newest deviation on a limit that nobody has decided about. */
    public static function undecided(int $batchId, string $limit): ?Deviation
    {
        return Deviation::query()
            ->where('batch_id', $batchId)
            ->where('limit_name', $limit)
            ->whereDoesntHave('disposition')
            ->orderByDesc('id')
            ->first();
    }

    /** @return array<string, bool> by limit: the newest deviation that nobody has decided about, and whether it is a missed deadline */
    public static function openByLimit(int $batchId): array
    {
        return Deviation::query()
            ->where('batch_id', $batchId)
            ->whereDoesntHave('disposition')
            ->orderBy('id')
            ->get(['limit_name', 'is_missed_in_time'])
            ->mapWithKeys(static fn(Deviation $one): array => [$one->limit_name => $one->is_missed_in_time === true])
            ->all();
    }

    /**
     * Occasions that were judged late on a limit, and still are.
     *
     * @param CarbonImmutable|null $after only those drawn after it
     *
     * @return array<string, list<int>> by limit, in the order in which they were drawn
     */
    public static function late(int $batchId, ?CarbonImmutable $after = null): array
    {
        $late = [];
        $rows = DB::table('limit_outcomes')
            ->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')
            ->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')
            ->where('limit_outcomes.batch_id', $batchId)
            ->where('limit_outcomes.late', true)
            ->where('occasions.drawn_at', '>', $after?->format('Y-m-d H:i:s.v') ?? '0000-01-01')
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'))
            ->orderBy('occasions.drawn_at')
            ->get(['limit_outcomes.name', 'occasions.id']);
        foreach ($rows as $row) {
            $late[(string) $row->name][] = (int) $row->id;
        }

        return $late;
    }

    /** The last time it was held, by somebody's word or by what they recorded. */
    public static function hold(Batch $batch): ?BatchEvent
    {
        return BatchEvent::query()->where('batch_id', $batch->id)->where('state', BatchState::Held)->orderByDesc('id')->first();
    }
}
