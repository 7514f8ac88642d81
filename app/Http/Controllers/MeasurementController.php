<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\CorrectMeasurement;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Http\Bench;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\MeasurementScreen;

/** A reading with its decision and everything behind it. */
final class MeasurementController
{
    public function store(Request $request, MeasurementDraft $draft, RecordMeasurement $record): RedirectResponse
    {
        $reading = $record(Bench::person($request), IdempotencyKey::from($request), $draft);

        return redirect()->route('readings.show', $reading)->with('done', 'Recorded on ' . $reading->sample->batch->code . '.');
    }

    public function show(Request $request, Measurement $reading): View
    {
        $reading->load(['sample.batch.product', 'replicates', 'decision', 'pair.meter', 'pair.electrode', 'calibration.points.lot', 'calibration.void', 'verification.thermometer', 'verification.outcome', 'method', 'person', 'superseded', 'successor']);

        return view('measure.reading', [
            'screen' => MeasurementScreen::of($reading),
            'mayCorrect' => $reading->successor === null && CorrectMeasurement::allows(Bench::person($request), $reading),
        ]);
    }
}
