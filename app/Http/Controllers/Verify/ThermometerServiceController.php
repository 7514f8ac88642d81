<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Verify;

use Illuminate\Http\RedirectResponse;
use Rheacid\Actions\Verify\SetService;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\Verify\ServiceRequest;
use Rheacid\Models\Thermometer;
use Rheacid\Records\IdempotencyKey;

/** Place, tolerance, interval and certificate of a thermometer. */
final class ThermometerServiceController
{
    public function store(ServiceRequest $request, Thermometer $thermometer, SetService $set): RedirectResponse
    {
        $set(Sent::person($request), IdempotencyKey::from($request), $thermometer, $request->service());

        return redirect()->route('thermometers.show', $thermometer)->with('done', 'Saved.');
    }
}
