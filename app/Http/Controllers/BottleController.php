<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Ready\LogBottle;
use Rheacid\Http\Bench;
use Rheacid\Models\Lot;
use Rheacid\Records\IdempotencyKey;

/** What happens to a bottle. */
final class BottleController
{
    public function store(Request $request, Lot $lot, LogBottle $log): RedirectResponse
    {
        Bench::takeCommas($request, 'volume_ml');
        $request->validate([
            'kind' => ['required', Rule::in(LogBottle::KINDS)],
            'volume_ml' => ['nullable', 'numeric', 'gt:0', 'lt:100000'],
            'water' => ['nullable', Rule::in(LogBottle::WATERS)],
        ], ['volume_ml' => 'A volume in mL like 250 is accepted.']);
        $log(
            Bench::person($request),
            IdempotencyKey::from($request),
            $lot,
            (string) $request->string('kind'),
            $request->filled('volume_ml') ? $request->float('volume_ml') : null,
            $request->filled('water') ? (string) $request->string('water') : null,
            Bench::remark($request, 'note'),
        );

        return redirect()->route('lots.show', $lot);
    }
}
