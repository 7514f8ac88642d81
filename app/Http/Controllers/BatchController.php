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
        $batches = Batch::query()->with(['product.limits', 'newestEvent', 'currentReadings.decision', 'currentReadings.sample', 'currentReadings.calibration.void'])->orderByDesc('started_at')->get();

        return view('batches.index', ['screens' => $batches->map(static fn(Batch $batch): BatchScreen => BatchScreen::of($batch))]);
    }

    public function show(Batch $batch): View
    {
        $batch->load(['product.limits', 'product.method', 'newestEvent', 'events.person', 'currentReadings.decision', 'currentReadings.sample', 'currentReadings.calibration.void', 'currentReadings.person']);

        return view('batches.show', ['screen' => BatchScreen::of($batch)]);
    }
}
