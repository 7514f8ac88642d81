<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Ready\LogBottle;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Core\Solutions\Water;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Lot;
use Rheacid\Records\IdempotencyKey;

/** What happens to a bottle. */
final class BottleController
{
    public function store(Request $request, Lot $lot, LogBottle $log): RedirectResponse
    {
        Sent::takeCommas($request, 'volume_ml');
        $request->validate([
            'kind' => ['required', Rule::enum(BottleEvent::class)],
            'volume_ml' => ['nullable', 'numeric', 'gt:0', 'lt:100000'],
            'water' => ['nullable', Rule::enum(Water::class)],
        ], ['volume_ml' => 'Type a volume in mL, like 250.']);
        $log(
            Sent::person($request),
            IdempotencyKey::from($request),
            $lot,
            BottleEvent::from($request->string('kind')->toString()),
            $request->filled('volume_ml') ? $request->float('volume_ml') : null,
            Water::tryFrom($request->string('water')->toString()),
            Sent::remark($request, 'note'),
        );

        return redirect()->route('lots.show', $lot);
    }
}
