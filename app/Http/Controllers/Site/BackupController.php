<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Site\StateTrueTime;
use Rheacid\Http\Forms\Sent;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Site\BackupScreen;

/** How the records are kept, and the true time where the clock had run ahead. */
final class BackupController
{
    public function show(): View
    {
        return view('today.keeping', ['screen' => BackupScreen::of()]);
    }

    public function state(Request $request, StateTrueTime $state): RedirectResponse
    {
        $request->validate(
            ['reason' => ['required', 'string', 'max:400'], 'is_right' => ['accepted']],
            ['reason' => 'Write what happened.', 'is_right' => 'Compare the clock with another clock, then tick the box.'],
        );
        $state(Sent::person($request), IdempotencyKey::from($request), trim($request->string('reason')->toString()));

        return redirect()->route('clock')->with('done', 'True time recorded. Recording continues.');
    }
}
