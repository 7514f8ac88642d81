<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Core\Access\TimeCode;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\Proof;
use Rheacid\Guard\SecondFactor;
use Rheacid\Guard\SignedInBy;
use Rheacid\Guard\SignIns;
use Rheacid\Http\Forms\Sent;
use Rheacid\Records\Refused;
use Rheacid\Site\Settings;

/** The authenticator code: set up and given up; and the passphrase again, for who took over by a PIN. */
final class CodeController
{
    /** A secret that is offered and not yet proven stands in the session, which is encrypted. */
    private const OFFERED = 'offered_secret';

    public function show(Request $request): View
    {
        $person = Sent::person($request);
        $offered = $request->session()->get(self::OFFERED);
        if (!is_string($offered)) {
            $offered = random_bytes(TimeCode::SECRET_BYTES);
            $request->session()->put(self::OFFERED, $offered);
        }
        $secret = TimeCode::base32($offered);
        $account = rawurlencode(Settings::now()->name . ':' . $person->name);

        return view('auth.code-set', [
            'isOn' => $person->credential?->hasCode() === true,
            'left' => SecondFactor::recoveryCodesLeft($person),
            'secret' => implode(' ', str_split($secret, 4)),
            'link' => "otpauth://totp/$account?secret=$secret&issuer=" . rawurlencode(Settings::now()->name),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $person = Sent::person($request);
        Proof::passphraseAndCode($request, $person);
        $offered = $request->session()->get(self::OFFERED);
        $step = is_string($offered)
            ? TimeCode::step($offered, $request->string('one_time_code')->toString(), CarbonImmutable::now()->getTimestamp(), 0)
            : null;
        if (!is_string($offered) || $step === null) {
            throw Refused::because('That is not the current code. Check that the time on your phone is right.', 'one_time_code');
        }
        $request->session()->forget(self::OFFERED);
        $codes = SecondFactor::turnOn($person, $offered, $step);
        SignIns::endAll($person, $request);
        AccessLog::note(AccessKind::CodeOn, $request, $person);

        return redirect()->route('yourself.code')->with('recovery', $codes);
    }

    public function destroy(Request $request): RedirectResponse
    {
        $person = Sent::person($request);
        Proof::passphraseAndCode($request, $person);
        SecondFactor::turnOff($person);
        SignIns::endAll($person, $request);
        AccessLog::note(AccessKind::CodeOff, $request, $person);

        return redirect()->route('yourself')->with('done', 'You now sign in with the passphrase only.');
    }

    public function again(): View
    {
        return view('auth.passphrase');
    }

    public function confirm(Request $request): RedirectResponse
    {
        $person = Sent::person($request);
        Proof::passphraseAndCode($request, $person);
        SignedInBy::confirm($request, $person);

        return redirect()->route('today')->with('done', 'You have the full rights of your role again.');
    }
}
