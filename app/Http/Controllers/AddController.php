<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Ready\AddThings;
use Rheacid\Http\Bench;
use Rheacid\Models\Lot;
use Rheacid\Models\Thermometer;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Shelf\NewThing;

/** One short form for each kind of thing. */
final class AddController
{
    public function create(NewThing $what): View
    {
        return view('ready.add', ['what' => $what]);
    }

    public function store(Request $request, NewThing $what, AddThings $add): RedirectResponse
    {
        $thing = $add(Bench::person($request), IdempotencyKey::from($request), [$what->make($request->all())]);

        return match (true) {
            $thing instanceof Lot => redirect()->route('lots.show', $thing),
            $thing instanceof Thermometer => redirect()->route('thermometers.show', $thing),
            default => redirect()->route('pairing')->with('done', "{$request->string('code')} added. Next: pair a meter and an electrode."),
        };
    }
}
