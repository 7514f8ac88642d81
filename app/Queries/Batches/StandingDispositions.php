<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Batches\DispositionKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;

/** What leads have decided about deadlines that a batch missed, as far as it still stands. */
final class StandingDispositions
{
    /**
     * With the steps of the batch loaded. A decision belongs to its deadline: it ends when the step changes from which that counts.
     *
     * @return array<string, float|null> by limit: the hours after its step that were given instead, or null where no more time was given
     */
    public static function standing(Batch $batch): array
    {
        $limits = [];
        foreach ($batch->judgedBy() as $limit) {
            $limits[$limit->limit->name] = $limit;
        }
        $standing = [];
        $decided = DB::table('deviations')
            ->join('dispositions', 'dispositions.deviation_id', '=', 'deviations.id')
            ->where('deviations.batch_id', $batch->id)
            ->where('deviations.is_missed_in_time', true)
            ->where('dispositions.disposition', DispositionKind::GoOn->value)
            ->orderBy('dispositions.id')
            ->get(['deviations.limit_name', 'dispositions.until_at', 'dispositions.at']);
        foreach ($decided as $row) {
            $limit = $limits[(string) $row->limit_name] ?? null;
            $begun = $limit === null ? null : $batch->begun($limit->since);
            if (
                $limit === null
                || $begun === null
                || self::changedAfter($batch, $limit, CarbonImmutable::parse((string) $row->at, 'UTC'))
            ) {
                continue;
            }
            $standing[$limit->limit->name]
                = $row->until_at === null ? null : $begun->diffInSeconds(CarbonImmutable::parse((string) $row->until_at, 'UTC')) / 3600;
        }

        return $standing;
    }

    private static function changedAfter(Batch $batch, ProductLimit $limit, CarbonImmutable $decided): bool
    {
        return $batch->steps->contains(
            static fn(BatchStep $one): bool => str_ends_with($limit->since, (string) $one->step) && $one->entered_at > $decided,
        );
    }
}
