<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Release\FourEyes;
use Rheacid\Models\Batch;
use Rheacid\Models\Person;
use Rheacid\Site\Settings;

/** Who had a hand in a batch, where the site asks for four eyes. */
final class FourEyesCheck
{
    /** Why this person does not release it; null where nothing speaks against it, or the site does not ask. */
    public static function against(Person $by, Batch $batch): ?string
    {
        if (!Settings::now()->fourEyes) {
            return null;
        }
        $found = FourEyes::against(
            $by->id,
            self::did($batch->id),
            self::people(
                DB::table('measurements')
                    ->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')
                    ->where('batch_id', $batch->id)
                    ->whereNotExists(
                        static fn($query) => $query->from('measurements as later')->whereColumn('later.supersedes_id', 'measurements.id'),
                    )
                    ->distinct()
                    ->pluck('measurements.person_id')
                    ->all(),
            ),
        );

        return $found === []
            ? null
            : sprintf(
                'Four-eyes release: you %s. Another lead must release it.',
                implode(', ', array_map(static fn(FourEyes $one): string => $one->words(), $found)),
            );
    }

    /** @return array<string, list<int>> people by what they did to it */
    private static function did(int $batch): array
    {
        $events = static fn(BatchState $state): array => DB::table('batch_events')
            ->where('batch_id', $batch)
            ->where('state', $state->value)
            ->distinct()
            ->pluck('person_id')
            ->all();
        // The first "running" began it; every later one let it go on.
        $first = DB::table('batch_events')->where('batch_id', $batch)->where('state', BatchState::Running->value)->min('id');

        return array_map(self::people(...), [
            FourEyes::Held->value => $events(BatchState::Held),
            FourEyes::Resumed->value => DB::table('batch_events')
                ->where('batch_id', $batch)
                ->where('state', BatchState::Running->value)
                ->where('id', '>', is_numeric($first) ? (int) $first : 0)
                ->distinct()
                ->pluck('person_id')
                ->all(),
            FourEyes::Decided->value => DB::table('dispositions')
                ->join('deviations', 'deviations.id', '=', 'dispositions.deviation_id')
                ->where('batch_id', $batch)
                ->distinct()
                ->pluck('dispositions.person_id')
                ->all(),
            FourEyes::ChangedStep->value => DB::table('batch_steps')
                ->where('batch_id', $batch)
                ->whereNotNull('reason')
                ->distinct()
                ->pluck('person_id')
                ->all(),
            FourEyes::ChangedRoute->value => DB::table('batch_routes')
                ->where('batch_id', $batch)
                ->whereNotNull('reason')
                ->distinct()
                ->pluck('person_id')
                ->all(),
            FourEyes::ChangedAnswer->value => DB::table('batch_answers')
                ->where('batch_id', $batch)
                ->whereNotNull('reason')
                ->distinct()
                ->pluck('person_id')
                ->all(),
            FourEyes::StruckOut->value => DB::table('course_strikes')
                ->join('courses', 'courses.id', '=', 'course_strikes.course_id')
                ->where('batch_id', $batch)
                ->distinct()
                ->pluck('course_strikes.person_id')
                ->all(),
            FourEyes::Corrected->value => DB::table('measurements')
                ->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')
                ->where('batch_id', $batch)
                ->whereNotNull('measurements.supersedes_id')
                ->distinct()
                ->pluck('measurements.person_id')
                ->all(),
        ]);
    }

    /**
     * @param array<array-key, mixed> $ids
     *
     * @return list<int>
     */
    private static function people(array $ids): array
    {
        return array_values(array_map(static fn(mixed $id): int => is_numeric($id) ? (int) $id : 0, $ids));
    }
}
