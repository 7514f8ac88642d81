<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Illuminate\Support\Str;
use Rheacid\Actions\Batches\BatchMoves;
use Rheacid\Core\Acidity\TitrationUncertainty;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\Person;
use Rheacid\Models\Replicate;
use Rheacid\Models\Titration;
use Rheacid\Queries\Measure\Correction;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps an acidity by titration, with the curve of each portion and what it rests on. */
final class RecordTitration
{
    public function __construct(private Supersede $supersede) {}

    /** @throws Refused */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        TitrationInput $told,
        ?Correction $correction = null,
    ): Measurement {
        return Recording::once($by, $form, 'record a titration', Measurement::class, function (Entry $entry) use (
            $by,
            $batch,
            $told,
            $correction,
        ): Measurement {
            $correction === null ? BatchMoves::ensure($batch, null) : BatchMoves::locked($batch);
            // Corrected afterwards, it rests on what it rested on.
            $calibration
                = $correction !== null && $correction->of->pair_id === $told->pair?->id
                    ? $correction->of->calibration
                    : $told->pair?->newestCalibration;
            if ($told->pair !== null && $calibration === null) {
                throw Refused::because(
                    'This pair has never been calibrated. Calibrate it first, with a buffer above the endpoint.',
                    'pair',
                );
            }
            [$occasion, $sample] = Supersede::drawn($entry, $batch, $told->drawn, $correction);
            $isJoining = $occasion->measurements()->exists();
            $series = (string) Str::uuid();
            $titrations = $told->titrations();
            foreach ($titrations as $i => $one) {
                $entry->add(
                    new Replicate([
                        'series' => $series,
                        'position' => $i + 1,
                        'value' => $one->acidity(),
                        'expanded_u' => $one->expandedU,
                        'settled' => true,
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
                    'pair_id' => $told->pair?->id,
                    'calibration_id' => $calibration?->id,
                    'observed_at' => $correction?->of->observed_at ?? $entry->at,
                    'entered_at' => $entry->at,
                    'person_id' => $by->id,
                    'supersedes_id' => $correction?->of->id,
                    'reason' => $correction?->reason,
                ]),
            );
            $first = $told->portions[0];
            $entry->add(
                new Titration([
                    'measurement_id' => $measurement->id,
                    'titrant_standardisation_id' => $told->titrant->id,
                    'sample_ml' => $told->isByMass ? null : $first['sample'],
                    'sample_g' => $told->isByMass ? $first['sample'] : null,
                    'endpoint_ml' => $first['endpoint']->ml,
                    'blank_ml' => $told->blankMl,
                    'burette_digit_ml' => $told->digitMl,
                    'burette_expanded_u_ml' => TitrationUncertainty::ofBurette($told->digitMl),
                    'endpoint' => $told->endpoint,
                    'acid' => $told->unit->acid?->value,
                    'unit' => $told->unit->code,
                    'sample_c' => $told->sampleC,
                    'compensation_c' => $told->compensationC,
                    'curve' => array_map(
                        static fn(array $portion, \Rheacid\Core\Acidity\Titration $one): array => [
                            'sample' => $portion['sample'],
                            'ml' => $portion['endpoint']->ml,
                            'ph' => $portion['endpoint']->ph,
                            'meq' => $one->meq,
                            'coarse' => $portion['endpoint']->isCoarse,
                            'curve' => $portion['curve'],
                        ],
                        $told->portions,
                        $titrations,
                    ),
                ]),
            );
            $this->supersede->judge($entry, $occasion, $correction, $isJoining ? DecisionCause::Joined : DecisionCause::Recorded);

            return $measurement;
        });
    }
}
