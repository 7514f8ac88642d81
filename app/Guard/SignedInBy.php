<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Rheacid\Core\Access\Role;
use Rheacid\Models\Person;
use Rheacid\Site\Settings;

/** How whoever is at the bench has shown who they are: a PIN changes hands, and gives what a checker may. */
final class SignedInBy
{
    private const BY_PIN = 'by_pin';
    private const MUST_CHANGE = 'must_change';

    public static function comeIn(Request $request, Person $person, AccessKind $how): void
    {
        Auth::login($person);
        $request->session()->regenerate();
        $request->session()->put(self::BY_PIN, $how === AccessKind::ChangedHands);
        SignIns::begin($request, $person, $how === AccessKind::ChangedHands);
        AccessLog::note($how, $request, $person);
    }

    public static function confirm(Request $request, Person $person): void
    {
        $request->session()->put(self::BY_PIN, false);
        AccessLog::note(AccessKind::Confirmed, $request, $person);
    }

    /** What was typed to come in is too easily guessed: nothing else is done before it is changed. */
    public static function mustChange(Request $request, string $what): void
    {
        $request->session()->put(self::MUST_CHANGE, $what);
    }

    /** @return string|null passphrase or pin */
    public static function toChange(Request $request): ?string
    {
        $what = $request->session()->get(self::MUST_CHANGE);

        return is_string($what) ? $what : null;
    }

    public static function hasChanged(Request $request, string $what): void
    {
        if (self::toChange($request) === $what) {
            $request->session()->forget(self::MUST_CHANGE);
        }
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
            self::isByPin() && $person->role !== Role::Checker
                => 'You took over with a PIN, which gives a checker’s rights. Confirm your passphrase first, under your name at the top.',
            $person->credential?->isCodeRemoved() === true
                => 'The records were restored from a backup, so your authenticator no longer works. Set it up again first, under your name '
                    . 'at the top.',
            Settings::now()->leadsNeedCode && $person->role === Role::Lead && $person->credential?->hasCode() !== true
                => 'This site requires an authenticator for leads. Set one up first, under your name at the top.',
            default => null,
        };
    }
}
