<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Rheacid\Models\Person;
use Rheacid\Models\Role;
use Rheacid\Settings;

/** How whoever is at the bench has shown who they are: a PIN changes hands, and gives what a checker may. */
final class Standing
{
    private const BY_PIN = 'by_pin';

    public static function comeIn(Request $request, Person $person, AccessKind $how): void
    {
        Auth::login($person);
        $request->session()->regenerate();
        $request->session()->put(self::BY_PIN, $how === AccessKind::ChangedHands);
        AccessLog::note($how, $request, $person);
    }

    public static function confirm(Request $request, Person $person): void
    {
        $request->session()->put(self::BY_PIN, false);
        AccessLog::note(AccessKind::Confirmed, $request, $person);
    }

    public static function isByPin(): bool
    {
        return request()->hasSession() && request()->session()->get(self::BY_PIN) === true;
    }

    /** Why somebody at the bench may not do now what their role would let them; null where they may. */
    public static function lacks(Person $person): ?string
    {
        if (!$person->is(Auth::user())) {
            return null;
        }

        return match (true) {
            self::isByPin() && $person->role !== Role::Checker => 'You took over by a PIN, which gives what a checker may. Show your passphrase first: it is asked for under your name at the top.',
            Settings::now()->leadsNeedCode && $person->role === Role::Lead && $person->credential?->hasCode() !== true => 'This site asks its leads for a code of the telephone. Set one up first, under your name at the top.',
            default => null,
        };
    }
}
