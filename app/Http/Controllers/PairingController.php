<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Rheacid\Actions\Ready\PairUp;
use Rheacid\Actions\Ready\PartPair;
use Rheacid\Http\Bench;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Rights\Right;
use Rheacid\Shelf\Instruments;
use Rheacid\Shelf\Policies;

/** Which electrode stands on which meter. */
final class PairingController
{
    public function create(): View
    {
        return view('ready.pairing', [
            'meters' => Instruments::meters(),
            'electrodes' => Instruments::electrodes(),
            'together' => Policies::followers(),
            'policies' => Gate::allows(Right::Lead->value) ? Policy::newest() : [],
        ]);
    }

    public function store(Request $request, PairUp $pairUp): RedirectResponse
    {
        $request->validate([
            'meter' => ['required', 'string', 'max:20'],
            'electrode' => ['required', 'string', 'max:20'],
            'channel' => ['nullable', 'string', 'max:20'],
            'policy' => ['nullable', 'string', 'max:40'],
        ]);
        $pair = $pairUp(
            Bench::person($request),
            IdempotencyKey::from($request),
            Instruments::meter($request->string('meter')->toString()),
            Instruments::electrode($request->string('electrode')->toString()),
            Bench::remark($request, 'channel'),
            $request->filled('policy') ? Policies::named($request->string('policy')->toString()) : null,
            $request->boolean('exchange'),
        );

        return redirect()->route('pairs.show', $pair);
    }

    public function part(Request $request, Pair $pair, PartPair $part): RedirectResponse
    {
        $part(Bench::person($request), IdempotencyKey::from($request), $pair, Bench::remark($request));

        return redirect()
            ->route('pairing')
            ->with('done', "{$pair->electrode->code} is off {$pair->name()}.");
    }
}
