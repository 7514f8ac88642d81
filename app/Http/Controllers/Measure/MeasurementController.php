<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Measure\MeasurementScreen;

/** A measurement with its decision and everything behind it. */
final class MeasurementController
{
    public function store(Request $request, MeasurementDraft $draft, RecordMeasurement $record): RedirectResponse
    {
        $measurement = $record(Sent::person($request), IdempotencyKey::from($request), $draft);

        $route
            = $draft->stop === null
                ? redirect()->route('readings.show', $measurement)
                : redirect()->route('rounds.show', $draft->stop->round_id);

        return $route->with('done', 'Recorded on ' . $measurement->occasion->batch->code . '.');
    }

    public function show(Measurement $measurement): View
    {
        return view('measure.reading', ['screen' => MeasurementScreen::of($measurement)]);
    }
}
