<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Rheacid\Actions\Ready\PairUp;
use Rheacid\Actions\Ready\PartPair;
use Rheacid\Core\Access\Right;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Queries\Ready\Policies;
use Rheacid\Records\IdempotencyKey;

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
            Sent::person($request),
            IdempotencyKey::from($request),
            Instruments::meter($request->string('meter')->toString()),
            Instruments::electrode($request->string('electrode')->toString()),
            Sent::remark($request, 'channel'),
            $request->filled('policy') ? Policies::named($request->string('policy')->toString()) : null,
            $request->boolean('exchange'),
        );

        return redirect()->route('pairs.show', $pair);
    }

    public function part(Request $request, Pair $pair, PartPair $part): RedirectResponse
    {
        $part(Sent::person($request), IdempotencyKey::from($request), $pair, Sent::remark($request));

        return redirect()
            ->route('pairing')
            ->with('done', "{$pair->electrode->code} is off {$pair->name()}.");
    }
}
