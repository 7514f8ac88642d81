<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\RecordOther;
use Rheacid\Http\Forms\Measure\OtherRequest;
use Rheacid\Http\Forms\Measure\SampleFields;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Batch;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Measure\OtherScreen;

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
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            $request->value(),
            SampleFields::correction($request, $batch),
        );

        return redirect()
            ->route('readings.show', $measurement)
            ->with('done', "Recorded on $batch->code.");
    }
}
