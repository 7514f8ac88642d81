<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Actions\Batches\BatchMoves;
use Rheacid\Core\Acidity\Titration as Computed;
use Rheacid\Core\Acidity\TitrationUncertainty;
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
final readonly class RecordTitration
{
    public function __construct(private KeepReading $keep) {}

    /** @throws Refused */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        TitrationInput $typed,
        ?Correction $correction = null,
    ): Measurement {
        return Recording::once($by, $form, 'record a titration', Measurement::class, function (Entry $entry) use (
            $by,
            $batch,
            $typed,
            $correction,
        ): Measurement {
            $batch = $correction === null ? BatchMoves::ensure($batch, null) : BatchMoves::locked($batch);
            // Corrected afterwards, it rests on what it rested on.
            $calibration
                = $correction !== null && $correction->of->pair_id === $typed->pair?->id
                    ? $correction->of->calibration
                    : $typed->pair?->newestCalibration;
            if ($typed->pair !== null && $calibration === null) {
                throw Refused::because(
                    'This pair has never been calibrated. Calibrate it first, with a buffer above the endpoint.',
                    'pair',
                );
            }
            $drawing = Supersede::drawn($entry, $batch, $typed->drawn, $correction);
            $titrations = $typed->titrations();
            $replicates = array_map(
                static fn(Computed $one): Replicate => new Replicate([
                    'value' => round($one->acidity(), 10),
                    'expanded_u' => round($one->expandedU, 10),
                    'settled' => true,
                    'source' => Source::Typed,
                    'person_id' => $by->id,
                    'at' => $entry->at,
                ]),
                $titrations,
            );
            $first = $typed->portions[0];
            $details = new Titration([
                'titrant_standardisation_id' => $typed->titrant->id,
                'sample_ml' => $typed->isByMass ? null : $first['sample'],
                'sample_g' => $typed->isByMass ? $first['sample'] : null,
                'endpoint_ml' => $first['endpoint']->ml,
                'blank_ml' => $typed->blankMl,
                'burette_digit_ml' => $typed->digitMl,
                'burette_expanded_u_ml' => TitrationUncertainty::ofBurette($typed->digitMl),
                'endpoint' => $typed->endpoint,
                'acid' => $typed->unit->acid?->value,
                'unit' => $typed->unit->code,
                'sample_c' => $typed->sampleC,
                'compensation_c' => $typed->compensationC,
                'curve' => array_map(
                    static fn(array $portion, Computed $one): array => [
                        'sample' => $portion['sample'],
                        'ml' => $portion['endpoint']->ml,
                        'ph' => $portion['endpoint']->ph,
                        'meq' => $one->meq,
                        'coarse' => $portion['endpoint']->isCoarse,
                        'curve' => $portion['curve'],
                    ],
                    $typed->portions,
                    $titrations,
                ),
            ]);
            $restsOn = ['method_id' => $batch->product->method_id, 'pair_id' => $typed->pair?->id, 'calibration_id' => $calibration?->id];
            $at = $correction === null ? $entry->at : CarbonImmutable::instance($correction->of->observed_at);

            return ($this->keep)(
                $entry,
                NewReading::of($entry, $drawing, $typed->basis, $replicates, $at, $restsOn, $details, $correction, $batch),
            );
        });
    }
}
