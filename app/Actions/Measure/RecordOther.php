<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Actions\Batches\BatchMoves;
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
final readonly class RecordOther
{
    public function __construct(private KeepReading $keep) {}

    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, OtherValue $value, ?Correction $correction = null): Measurement
    {
        return Recording::once($by, $form, 'record another quantity', Measurement::class, function (Entry $entry) use (
            $by,
            $batch,
            $value,
            $correction,
        ): Measurement {
            $batch = $correction === null ? BatchMoves::ensure($batch, null) : BatchMoves::locked($batch);
            $check
                = $value->thermometer === null
                    ? null
                    : Thermometers::checkFor($value->thermometer, max($value->values))
                        ?? throw Refused::because('This thermometer has never been checked. Check it first.', 'thermometer');
            $drawing = Supersede::drawn($entry, $batch, $value->drawn, $correction);
            $replicates = array_map(
                static fn(float $portion): Replicate => new Replicate([
                    'value' => round($check === null ? $portion : $check->corrected($portion), 10),
                    'expanded_u' => $value->expandedU === null ? null : round($value->expandedU, 10),
                    'verification_id' => $check?->id,
                    'shown_c' => $check === null ? null : $portion,
                    'settled' => $value->isSettled,
                    'source' => Source::Typed,
                    'person_id' => $by->id,
                    'at' => $entry->at,
                ]),
                $value->values,
            );
            $details
                = $value->measuredBy === null
                    ? null
                    : new ExternalValue([
                        'measured_by' => $value->measuredBy,
                        'measured_with' => (string) $value->measuredWith,
                        'certificate' => $value->certificate,
                        'measured_at' => $value->measuredAt,
                        'unit' => $value->acidityUnit?->code,
                        'so2_method' => $value->so2Method,
                    ]);
            $restsOn = ['method_id' => $batch->product->method_id, 'verification_id' => $check?->id];

            return ($this->keep)(
                $entry,
                NewReading::of($entry, $drawing, $value->basis, $replicates, $value->measuredAt, $restsOn, $details, $correction, $batch),
            );
        });
    }
}
