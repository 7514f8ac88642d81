<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Models\Batch;
use Rheacid\Models\Occasion;
use Rheacid\Records\Entry;

/** Judges occasions of a batch again, from its beginning, when something changed on which they rest; part of a larger action. */
final readonly class JudgeAnew
{
    public function __construct(private KeepDecision $keep, private WorkOutCourses $workOut) {}

    /** Everything that was read of it, and its records of temperature. */
    public function batch(Entry $entry, Batch $batch, DecisionCause $because): void
    {
        foreach (
            Occasion::query()
                ->where('batch_id', $batch
                ->id)
                ->whereHas('measurements')
                ->orderBy('drawn_at')
                ->orderBy('id')
                ->lazy() as $occasion
        ) {
            ($this->keep)($entry, $occasion, $because, withCourses: false);
        }
        ($this->workOut)($entry, Batch::query()->with(Batch::JUDGED)->findOrFail($batch->id));
    }

    /** What came after a deadline. */
    public function late(Entry $entry, Batch $batch, string $limit, DecisionCause $because, ?CarbonImmutable $after = null): void
    {
        $late = DB::table('limit_outcomes')
            ->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')
            ->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')
            ->where('limit_outcomes.batch_id', $batch->id)
            ->where('limit_outcomes.name', $limit)
            ->where('limit_outcomes.late', true)
            ->where('occasions.drawn_at', '>', $after?->format('Y-m-d H:i:s.v') ?? '0000-01-01')
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'))
            ->orderBy('occasions.drawn_at')
            ->pluck('occasions.id');
        foreach (Occasion::query()->findMany($late) as $occasion) {
            ($this->keep)($entry, $occasion, $because, withCourses: false);
        }
    }
}
