<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Actions\Batches\KeepDecision;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Queries\Measure\MeasuredPlace;
use Rheacid\Queries\Measure\OccasionFacts;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Records a measurement on its batch together with the decision that follows for its occasion. */
final readonly class RecordMeasurement
{
    public function __construct(private KeepDecision $keep) {}

    /** @throws Refused while portions are missing */
    public function __invoke(Person $by, IdempotencyKey $form, MeasurementDraft $draft): Measurement
    {
        return Recording::once($by, $form, 'record a measurement', Measurement::class, function (Entry $entry) use (
            $by,
            $draft,
        ): Measurement {
            $draft = AcceptReplicate::held(MeasurementDraft::query()->lockForUpdate()->findOrFail($draft->id), $by);
            $replicates = $draft->replicates;
            if ($replicates->isEmpty()) {
                throw Refused::because('No portion has been read yet.', 'draft');
            }
            $occasion = $draft->sample->occasion;
            $rules = $draft->method->rules($occasion->stage);
            $values = array_values($replicates->map(static fn($replicate): float => $replicate->value)->all());
            if (!$rules->areComplete($values)) {
                throw Refused::because(
                    sprintf('%d portions are required; %d read so far.', $rules->needed($values), count($values)),
                    'draft',
                );
            }
            $because = $occasion->measurements()->exists() ? DecisionCause::Joined : DecisionCause::Recorded;
            $facts = OccasionFacts::of($occasion, inHand: MeasuredPlace::inHand($draft));
            $visit = $draft->stop === null ? null : KeepVisit::facts($draft->stop, $entry->at);
            $follows = KeepDecision::decide($facts, $because);

            $draft->update(['state' => 'recorded', 'open_pair_id' => null]);
            $measurement = $entry->add(
                new Measurement([
                    'occasion_id' => $occasion->id,
                    'sample_id' => $draft->sample_id,
                    'measurand' => Measurand::Ph,
                    'basis' => '',
                    'unit' => Measurand::Ph->unit(),
                    'series' => $draft->series,
                    'method_id' => $draft->method_id,
                    'pair_id' => $draft->pair_id,
                    'calibration_id' => $draft->calibration_id,
                    'verification_id' => $draft->verification_id,
                    'observed_at' => MeasuredPlace::lastRead($replicates),
                    'entered_at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
            $this->keep->keep($entry, $facts, $follows, $because);
            if ($visit !== null) {
                KeepVisit::of($entry, $visit, $measurement, (float) $replicates->firstOrFail()->value);
            }

            return $measurement;
        });
    }
}
