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
        $request->validate(
            ['reason' => ['required', 'string', 'max:400'], 'is_right' => ['accepted']],
            ['reason' => 'Write what happened.', 'is_right' => 'Compare the clock with another clock, then tick the box.'],
        );
        $state(Bench::person($request), IdempotencyKey::from($request), trim($request->string('reason')->toString()));

        return redirect()->route('clock')->with('done', 'True time recorded. Recording continues.');
    }
}
