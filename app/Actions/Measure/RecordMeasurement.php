<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Queries\Measure\VisitFacts;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Records a measurement on its batch together with the decision that follows for its occasion. */
final readonly class RecordMeasurement
{
    public function __construct(private KeepReading $keep) {}

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
            $rules = $draft->method->rules($draft->sample->occasion->stage);
            $values = array_values($replicates->map(static fn($replicate): float => $replicate->value)->all());
            if (!$rules->areComplete($values)) {
                throw Refused::because(
                    sprintf('%d portions are required; %d read so far.', $rules->needed($values), count($values)),
                    'draft',
                );
            }
            $visit = $draft->stop === null ? null : VisitFacts::of($draft->stop, $entry->at);
            $measurement = ($this->keep)($entry, NewReading::ofDraft($entry, $draft));
            $draft->update(['state' => 'recorded', 'open_pair_id' => null]);
            if ($visit !== null) {
                KeepVisit::of($entry, $visit, $measurement, (float) $replicates->firstOrFail()->value);
            }

            return $measurement;
        });
    }
}
