<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Ready\AddThings;
use Rheacid\Http\Forms\Ready\ThingKind;
use Rheacid\Http\Forms\Ready\TypedThing;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Lot;
use Rheacid\Models\Thermometer;
use Rheacid\Records\IdempotencyKey;

/** One short form for each kind of thing. */
final class AddController
{
    public function create(ThingKind $what): View
    {
        return view('ready.add', ['what' => $what]);
    }

    public function store(Request $request, ThingKind $what, AddThings $add): RedirectResponse
    {
        $thing = $add(Sent::person($request), IdempotencyKey::from($request), [TypedThing::make($what, $request->all())]);

        return match (true) {
            $thing instanceof Lot => redirect()->route('lots.show', $thing),
            $thing instanceof Thermometer => redirect()->route('thermometers.show', $thing),
            default => redirect()->route('pairing')->with('done', "{$request->string('code')} added. Next: pair a meter and an electrode."),
        };
    }
}
