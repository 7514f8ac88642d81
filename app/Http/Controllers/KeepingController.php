<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Site\StateTrueTime;
use Rheacid\Http\Bench;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\KeepingScreen;

/** How the records are kept, and the true time where the clock had run ahead. */
final class KeepingController
{
    public function show(): View
    {
        return view('today.keeping', ['screen' => KeepingScreen::of()]);
    }

    public function state(Request $request, StateTrueTime $state): RedirectResponse
    {
        $request->validate(['reason' => ['required', 'string', 'max:400'], 'is_right' => ['accepted']], ['reason' => 'Write how it came about.', 'is_right' => 'Compare the clock with another, and tick that it is right.']);
        $state(Bench::person($request), IdempotencyKey::from($request), trim($request->string('reason')->toString()));

        return redirect()->route('clock')->with('done', 'The true time is on record; recording goes on.');
    }
}
