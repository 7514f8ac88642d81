<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Batches\Life;
use Rheacid\Bench\Source;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchAnswer;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Occasion;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Shelf\Occupancy;
use Rheacid\Shelf\Readiness;
use Rheacid\Shelf\Thermometers;
use Rheacid\SiteClock;

/** Keeps the sample that was drawn, and begins to measure it with a pair and a thermometer. */
final class BeginMeasuring
{
    /**
     * @param array<string, bool> $answers to conditions of the product's limits that nobody had answered yet
     * @param Occasion|null $joins what it was drawn together with
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, Pair $pair, Thermometer $thermometer, Stage $stage, string $place, CarbonImmutable $drawnAt, array $answers, Source $source, ?Occasion $joins = null): MeasurementDraft
    {
        return Recording::once($by, $form, 'draw a sample', MeasurementDraft::class, static function (Entry $entry) use ($by, $batch, $pair, $thermometer, $stage, $place, $drawnAt, $answers, $source, $joins): MeasurementDraft {
            Life::ensure($batch, null);
            OpenRun::ensureMeasuresPh($pair);
            $calibration = $pair->newestCalibration;
            if ($calibration === null || !$calibration->calibrationFunction()->canTell()) {
                throw Refused::because('This pair has no calibration that could turn mV into pH. Calibrate it first.', 'pair');
            }
            if (in_array(Readiness::of($pair)->state, [PairState::OutOfUse, PairState::Retired], true)) {
                throw Refused::because('This electrode was taken out of use. Choose another pair.', 'pair');
            }
            $thermometerState = Thermometers::status($thermometer)->state;
            if ($thermometerState === ThermometerState::OutOfUse || $thermometerState === ThermometerState::Adjusted) {
                throw Refused::because(sprintf('This thermometer is %s. Choose another.', ThermometerWords::state($thermometerState, null)), 'thermometer');
            }
            $method = $batch->product->method;
            $check = Thermometers::checkFor($thermometer, ($method->low_c + $method->high_c) / 2) ?? throw Refused::because('This thermometer was never checked. Choose another, or verify it first.', 'thermometer');
            self::ensureDrawn($batch, $drawnAt, $entry->at);
            Occupancy::ensureFree($pair->electrode);
            foreach ($answers as $condition => $answer) {
                $entry->add(new BatchAnswer(['batch_id' => $batch->id, 'condition' => $condition, 'answer' => $answer, 'at' => $entry->at, 'person_id' => $by->id]));
            }
            [, $sample] = DrawSample::of($entry, $batch, $stage, $place, $drawnAt, $joins);

            return MeasurementDraft::query()->create([
                'sample_id' => $sample->id,
                'pair_id' => $pair->id,
                'calibration_id' => $calibration->id,
                'verification_id' => $check->id,
                'method_id' => $batch->product->method_id,
                'series' => (string) Str::uuid(),
                'source' => $source,
                'holder_id' => $by->id,
                'opened_at' => $entry->at,
                'state' => 'open',
                'open_pair_id' => $pair->id,
            ]);
        });
    }

    /** @throws Refused if the sample was drawn before the batch began, or after now */
    public static function ensureDrawn(Batch $batch, CarbonImmutable $drawnAt, CarbonImmutable $now): void
    {
        if ($drawnAt->lessThan($batch->started_at->startOfMinute()) || $drawnAt->greaterThan($now)) {
            throw Refused::because(sprintf('The sample was drawn between the start of the batch (%s) and now (%s).', SiteClock::full($batch->started_at), SiteClock::full($now)), 'drawn_at');
        }
    }
}
