<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Rheacid\Actions\Measure\CorrectMeasurement;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Http\Forms\Measure\CorrectionRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Measurement;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Rights\Rights;

/** Correcting a measurement: a new entry that supersedes it. */
final class CorrectionController
{
    public function create(Measurement $measurement): View|RedirectResponse
    {
        Gate::authorize(Rights::CORRECT, $measurement);

        $route = match (true) {
            $measurement->measurand === Measurand::Ph => null,
            $measurement->titration !== null => 'titrations.create',
            default => 'others.create',
        };

        return $route === null
            ? view('measure.correction', ['measurement' => $measurement])
            : redirect()->route($route, [$measurement->occasion->batch_id, 'corrects' => $measurement->id]);
    }

    public function store(CorrectionRequest $request, Measurement $measurement, CorrectMeasurement $correct): RedirectResponse
    {
        $corrected = $correct(
            Sent::person($request),
            IdempotencyKey::from($request),
            $measurement,
            $request->stage(),
            $request->string('place')->toString(),
            $request->drawnAt(),
            $request->values(),
            Sent::remark($request),
        );

        return redirect()->route('readings.show', $corrected)->with('done', 'Correction recorded. The earlier entry stays on record.');
    }
}
