<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Measure\Assessment;
use Rheacid\Models\Person;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Replicate;
use Rheacid\Records\Entry;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Shelf\Checks;
use Rheacid\Shelf\Readiness;

/** Records a reading on its batch together with the decision that follows from it. */
final readonly class RecordMeasurement
{
    public function __construct(private KeepDecision $keep) {}

    /** @throws Refused while portions are missing */
    public function __invoke(Person $by, IdempotencyKey $form, MeasurementDraft $draft): Measurement
    {
        return Recording::once($by, $form, 'record a reading', Measurement::class, function (Entry $entry) use ($by, $draft): Measurement {
            $draft = AcceptReplicate::held(MeasurementDraft::query()->lockForUpdate()->findOrFail($draft->id), $by);
            $replicates = $draft->replicates;
            if ($replicates->isEmpty()) {
                throw Refused::because('No portion has been read yet.', 'draft');
            }
            $assessment = Assessment::of($replicates, $draft->sample, $draft->pair, $draft->calibration, $draft->verification, $draft->method, Readiness::of($draft->pair)->state, Checks::status($draft->calibration, $entry->at));
            if (!$assessment->isComplete($draft->method)) {
                throw Refused::because(sprintf('%d portions are needed; %d read so far.', $assessment->portionsNeeded($draft->method), $replicates->count()), 'draft');
            }
            $draft->update(['state' => 'recorded', 'open_pair_id' => null]);
            $reading = $entry->add(new Measurement([
                'sample_id' => $draft->sample_id,
                'series' => $draft->series,
                'pair_id' => $draft->pair_id,
                'calibration_id' => $draft->calibration_id,
                'verification_id' => $draft->verification_id,
                'method_id' => $draft->method_id,
                'observed_at' => $replicates->map(static fn(Replicate $replicate) => $replicate->at)->max(),
                'entered_at' => $entry->at,
                'person_id' => $by->id,
            ]));
            ($this->keep)($entry, $reading, $assessment, $draft->sample->batch);

            return $reading;
        });
    }
}
