<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Actions\Batches\KeepDecision;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Queries\Measure\Correction;
use Rheacid\Queries\Measure\OccasionFacts;
use Rheacid\Records\Entry;

/** Keeps a reading in hand with the decision that follows for its occasion: all is read, then decided, then kept. */
final readonly class KeepReading
{
    public function __construct(private KeepDecision $keep) {}

    public function __invoke(Entry $entry, NewReading $reading): Measurement
    {
        $occasion = $reading->occasion;
        $because = match (true) {
            $reading->correction !== null => DecisionCause::Corrected,
            $occasion->exists && $occasion->measurements()->exists() => DecisionCause::Joined,
            default => DecisionCause::Recorded,
        };
        // One that moves changes two occasions, of which the second follows from what the first came to: judged below, one by one.
        $facts = $reading->isMoved()
            ? null
            : OccasionFacts::of($occasion, inHand: $reading->place(), without: $reading->correction?->of, batch: $reading->batch);
        $follows = $facts === null ? null : KeepDecision::decide($facts, $because);

        $measurement = $this->rows($entry, $reading);
        if ($facts !== null && $follows !== null) {
            $this->keep->keep($entry, $facts, $follows, $because);
        } elseif ($reading->correction !== null) {
            $this->judgeBoth($entry, $occasion, $reading->correction);
        }

        return $measurement;
    }

    /** What is not on record yet. */
    private function rows(Entry $entry, NewReading $reading): Measurement
    {
        DrawSample::keep($entry, $reading->occasion, $reading->sample);
        $measurement = $reading->measurement;
        foreach ($measurement->replicates as $replicate) {
            if (!$replicate->exists) {
                $entry->add($replicate);
            }
        }
        $entry->add($measurement->fill(['occasion_id' => $reading->occasion->id, 'sample_id' => $reading->sample->id]));
        if ($reading->details !== null) {
            $entry->add($reading->details->fill(['measurement_id' => $measurement->id]));
        }

        return $measurement;
    }

    private function judgeBoth(Entry $entry, Occasion $occasion, Correction $correction): void
    {
        $before = $correction->of->occasion;
        if ($before->measurements()->exists()) {
            ($this->keep)($entry, $before, DecisionCause::Corrected);
            ($this->keep)($entry, $occasion, DecisionCause::Corrected);
        } else {
            // Nothing is left of the first occasion, so its decision stands no longer.
            ($this->keep)($entry, $occasion, DecisionCause::Corrected, $before->decision);
        }
    }
}
