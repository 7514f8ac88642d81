<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Rheacid\Actions\Verify\SetService;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\ServiceRequest;
use Rheacid\Models\Thermometer;
use Rheacid\Records\IdempotencyKey;

/** Place, tolerance, interval and certificate of a thermometer. */
final class ThermometerServiceController
{
    public function store(ServiceRequest $request, Thermometer $thermometer, SetService $set): RedirectResponse
    {
        $set(Bench::person($request), IdempotencyKey::from($request), $thermometer, $request->service());

        return redirect()->route('thermometers.show', $thermometer)->with('done', 'Saved.');
    }
}
