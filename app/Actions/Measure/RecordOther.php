<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Illuminate\Support\Str;
use Rheacid\Actions\Batches\BatchMoves;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Batch;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\Measurement;
use Rheacid\Models\Person;
use Rheacid\Models\Replicate;
use Rheacid\Queries\Measure\Correction;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps a quantity that no electrode reads: a temperature by a thermometer of the shelf, anything else from elsewhere. */
final class RecordOther
{
    public function __construct(private Supersede $supersede) {}

    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, OtherValue $told, ?Correction $correction = null): Measurement
    {
        return Recording::once($by, $form, 'record another quantity', Measurement::class, function (Entry $entry) use (
            $by,
            $batch,
            $told,
            $correction,
        ): Measurement {
            $correction === null ? BatchMoves::ensure($batch, null) : BatchMoves::locked($batch);
            $check
                = $told->thermometer === null
                    ? null
                    : Thermometers::checkFor($told->thermometer, max($told->values))
                        ?? throw Refused::because('This thermometer has never been checked. Check it first.', 'thermometer');
            [$occasion, $sample] = Supersede::drawn($entry, $batch, $told->drawn, $correction);
            $isJoining = $occasion->measurements()->exists();
            $series = (string) Str::uuid();
            foreach ($told->values as $i => $value) {
                $entry->add(
                    new Replicate([
                        'series' => $series,
                        'position' => $i + 1,
                        'value' => $check === null ? $value : $check->corrected($value),
                        'expanded_u' => $told->expandedU,
                        'verification_id' => $check?->id,
                        'shown_c' => $check === null ? null : $value,
                        'settled' => $told->isSettled,
                        'source' => Source::Typed,
                        'person_id' => $by->id,
                        'at' => $entry->at,
                    ]),
                );
            }
            $measurement = $entry->add(
                new Measurement([
                    'occasion_id' => $occasion->id,
                    'sample_id' => $sample->id,
                    'measurand' => $told->basis->measurand,
                    'basis' => $told->basis->code,
                    'unit' => $told->basis->keptUnit(),
                    'series' => $series,
                    'method_id' => $batch->product->method_id,
                    'verification_id' => $check?->id,
                    'observed_at' => $told->measuredAt,
                    'entered_at' => $entry->at,
                    'person_id' => $by->id,
                    'supersedes_id' => $correction?->of->id,
                    'reason' => $correction?->reason,
                ]),
            );
            if ($told->measuredBy !== null) {
                $entry->add(
                    new ExternalValue([
                        'measurement_id' => $measurement->id,
                        'measured_by' => $told->measuredBy,
                        'measured_with' => (string) $told->measuredWith,
                        'certificate' => $told->certificate,
                        'measured_at' => $told->measuredAt,
                        'unit' => $told->acidityUnit?->code,
                        'so2_method' => $told->so2Method,
                    ]),
                );
            }
            $this->supersede->judge($entry, $occasion, $correction, $isJoining ? DecisionCause::Joined : DecisionCause::Recorded);

            return $measurement;
        });
    }
}
