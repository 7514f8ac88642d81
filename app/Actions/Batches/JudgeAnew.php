<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

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

    /**
     * What came after a deadline.
     *
     * @param list<int> $occasions that were judged late on it
     */
    public function late(Entry $entry, array $occasions, DecisionCause $because): void
    {
        foreach (Occasion::query()->findMany($occasions) as $occasion) {
            ($this->keep)($entry, $occasion, $because, withCourses: false);
        }
    }
}
