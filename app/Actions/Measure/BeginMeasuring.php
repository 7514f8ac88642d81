<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Illuminate\Support\Str;
use Rheacid\Actions\Batches\BatchMoves;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchAnswer;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\RoundStop;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Queries\Measure\MeasuringChecks;
use Rheacid\Queries\Ready\Occupancy;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps the sample that was drawn, and begins to measure it with a pair and a thermometer. */
final class BeginMeasuring
{
    /**
     * @param array<string, bool> $answers to conditions of the product's limits that nobody had answered yet
     * @param RoundStop|null $stop of the round on which it is read
     * @param float|null $dilutionParts parts of water to one part of the sample
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        Pair $pair,
        Thermometer $thermometer,
        DrawnSample $drawn,
        array $answers,
        Source $source,
        ?RoundStop $stop = null,
        ?float $dilutionParts = null,
    ): MeasurementDraft {
        return Recording::once($by, $form, 'draw a sample', MeasurementDraft::class, static function (Entry $entry) use (
            $by,
            $batch,
            $pair,
            $thermometer,
            $drawn,
            $answers,
            $source,
            $stop,
            $dilutionParts,
        ): MeasurementDraft {
            BatchMoves::ensure($batch, null);
            [$calibration, $check] = MeasuringChecks::ensure($pair, $thermometer, $batch->product->method);
            MeasuringChecks::ensureRinsed($pair, $drawn);
            Occupancy::ensureFree($pair->electrode);
            $drawing = DrawSample::inHand($entry, $batch, $drawn);
            foreach ($answers as $condition => $answer) {
                $entry->add(
                    new BatchAnswer([
                        'batch_id' => $batch->id,
                        'condition' => $condition,
                        'answer' => $answer,
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
            }
            DrawSample::keep($entry, ...$drawing);

            return MeasurementDraft::query()->create([
                'sample_id' => $drawing[1]->id,
                'pair_id' => $pair->id,
                'calibration_id' => $calibration->id,
                'verification_id' => $check->id,
                'method_id' => $batch->product->method_id,
                'series' => (string) Str::uuid(),
                'source' => $source,
                'dilution_parts' => $dilutionParts,
                'holder_id' => $by->id,
                'opened_at' => $entry->at,
                'state' => 'open',
                'open_pair_id' => $pair->id,
                'round_stop_id' => $stop?->id,
            ]);
        });
    }
}
