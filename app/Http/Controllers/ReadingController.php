<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\CorrectReading;
use Rheacid\Actions\Measure\RecordReading;
use Rheacid\Http\Bench;
use Rheacid\Models\Reading;
use Rheacid\Models\ReadingDraft;
use Rheacid\Records\SentForm;
use Rheacid\View\ReadingScreen;

/** A reading with its decision and everything behind it. */
final class ReadingController
{
    public function store(Request $request, ReadingDraft $draft, RecordReading $record): RedirectResponse
    {
        $reading = $record(Bench::person($request), SentForm::from($request), $draft);

        return redirect()->route('readings.show', $reading)->with('done', 'Recorded on ' . $reading->sample->batch->code . '.');
    }

    public function show(Request $request, Reading $reading): View
    {
        $reading->load(['sample.batch.product', 'replicates', 'decision', 'pair.meter', 'pair.electrode', 'calibration.points.lot', 'calibration.void', 'thermometerCheck.thermometer', 'thermometerCheck.outcome', 'method', 'person', 'superseded', 'successor']);

        return view('measure.reading', [
            'screen' => ReadingScreen::of($reading),
            'mayCorrect' => $reading->successor === null && CorrectReading::allows(Bench::person($request), $reading),
        ]);
    }
}
