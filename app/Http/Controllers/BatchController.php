<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Rheacid\Models\Batch;
use Rheacid\View\BatchScreen;

/** Batches and their series of readings. */
final class BatchController
{
    public function index(): View
    {
        $batches = Batch::query()->with(['product.limits', 'newestEvent', 'currentMeasurements.decision', 'currentMeasurements.sample', 'currentMeasurements.calibration.void'])->orderByDesc('started_at')->get();

        return view('batches.index', ['screens' => $batches->map(static fn(Batch $batch): BatchScreen => BatchScreen::of($batch))]);
    }

    public function show(Batch $batch): View
    {
        $batch->load(['product.limits', 'product.method', 'newestEvent', 'events.person', 'currentMeasurements.decision', 'currentMeasurements.sample', 'currentMeasurements.calibration.void', 'currentMeasurements.person']);

        return view('batches.show', ['screen' => BatchScreen::of($batch)]);
    }
}
