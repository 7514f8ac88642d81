<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\RecordOther;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\OtherRequest;
use Rheacid\Http\SampleFields;
use Rheacid\Models\Batch;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\OtherScreen;

/** Quantities that no electrode reads: temperature, density, salt, sulfite, alcohol … */
final class OtherController
{
    public function create(Request $request, Batch $batch): View
    {
        return view('measure.other', [
            'screen' => OtherScreen::of($batch, $request->query('of'), SampleFields::corrected($request, $batch)),
        ]);
    }

    public function store(OtherRequest $request, Batch $batch, RecordOther $record): RedirectResponse
    {
        $measurement = $record(
            Bench::person($request),
            IdempotencyKey::from($request),
            $batch,
            $request->told(),
            SampleFields::correction($request, $batch),
        );

        return redirect()
            ->route('readings.show', $measurement)
            ->with('done', "Recorded on $batch->code.");
    }
}
