<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Site\ChangeSettings;
use Rheacid\Actions\Site\MoveToZone;
use Rheacid\Guard\Proof;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Site\SiteClock;
use Rheacid\View\Site\SettingsScreen;

/** How the site calls itself, writes its numbers and goes by the clock. */
final class SettingsController
{
    public function show(): View
    {
        return view('people.settings', ['screen' => SettingsScreen::of()]);
    }

    public function update(Request $request, ChangeSettings $change): RedirectResponse
    {
        $request->validate(
            [
                'name' => ['required', 'string', 'max:80'],
                'temperatures' => ['required', Rule::in(['C', 'F'])],
                'numbers' => ['required', Rule::in(['point', 'comma'])],
            ],
            ['name' => 'Type the name of the site as it should appear on certificates.'],
        );
        $change(
            Sent::person($request),
            IdempotencyKey::from($request),
            trim($request->string('name')->toString()),
            $request->input('temperatures') === 'F',
            $request->input('numbers') === 'comma',
            $request->boolean('leads_need_code'),
            $request->boolean('four_eyes'),
            Proof::second($request),
        );

        return redirect()->route('settings')->with('done', 'Settings saved. They apply to everybody at once.');
    }

    public function move(Request $request, MoveToZone $move): RedirectResponse
    {
        $request->validate(
            ['time_zone' => ['required', 'string', 'timezone:all'], 'from' => ['required', 'string', 'max:40']],
            ['time_zone' => 'Choose a zone from the list, like Europe/Lisbon.', 'from' => 'Type a date and a time.'],
        );
        $moved = $move(
            Sent::person($request),
            IdempotencyKey::from($request),
            $request->string('time_zone')->toString(),
            TypedTime::read($request->string('from')->toString(), 'from'),
        );

        return redirect()
            ->route('settings')
            ->with('done', "The site uses $moved->time_zone from " . SiteClock::full($moved->in_force_from) . '.');
    }
}
