<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Rheacid\Core\Access\TimeCode;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\SecondFactor;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\Standing;
use Rheacid\Guard\Waits;
use Rheacid\Http\Bench;
use Rheacid\Models\Person;
use Rheacid\Records\Refused;
use Rheacid\Settings;

/** The code of the telephone: set up and given up; and the passphrase again, for who took over by a PIN. */
final class CodeController
{
    /** A secret that is offered and not yet proven stands in the session, which is encrypted. */
    private const OFFERED = 'offered_secret';

    public function show(Request $request): View
    {
        $person = Bench::person($request);
        $offered = $request->session()->get(self::OFFERED);
        if (!is_string($offered)) {
            $offered = random_bytes(TimeCode::SECRET_BYTES);
            $request->session()->put(self::OFFERED, $offered);
        }
        $secret = TimeCode::base32($offered);
        $account = rawurlencode(Settings::now()->name . ':' . $person->name);

        return view('auth.code-set', ['isOn' => $person->credential?->hasCode() === true, 'left' => SecondFactor::recoveryCodesLeft($person), 'secret' => implode(' ', str_split($secret, 4)), 'link' => "otpauth://totp/$account?secret=$secret&issuer=" . rawurlencode(Settings::now()->name)]);
    }

    public function store(Request $request): RedirectResponse
    {
        $person = Bench::person($request);
        $this->provePassphrase($request, $person);
        $offered = $request->session()->get(self::OFFERED);
        $step = is_string($offered) ? TimeCode::step($offered, $request->string('one_time_code')->toString(), CarbonImmutable::now()->getTimestamp(), 0) : null;
        if (!is_string($offered) || $step === null) {
            throw Refused::because('That is not the code of now. Is the time of the telephone right?', 'one_time_code');
        }
        $request->session()->forget(self::OFFERED);
        $codes = SecondFactor::turnOn($person, $offered, $step);
        AccessLog::note(AccessKind::CodeOn, $request, $person);

        return redirect()->route('yourself.code')->with('recovery', $codes);
    }

    public function destroy(Request $request): RedirectResponse
    {
        $person = Bench::person($request);
        $this->provePassphrase($request, $person);
        SecondFactor::turnOff($person);
        AccessLog::note(AccessKind::CodeOff, $request, $person);

        return redirect()->route('yourself')->with('done', 'Signing in asks for the passphrase alone now.');
    }

    public function again(): View
    {
        return view('auth.passphrase');
    }

    public function confirm(Request $request): RedirectResponse
    {
        $person = Bench::person($request);
        $this->provePassphrase($request, $person);
        Standing::confirm($request, $person);

        return redirect()->route('today')->with('done', 'What your role lets you do is yours again.');
    }

    /** The passphrase, and the code where there is one: a bench that was left alone changes nobody's way in. */
    private function provePassphrase(Request $request, Person $person): void
    {
        $request->validate(['passphrase' => ['required', 'string', 'max:200'], 'one_time_code' => ['nullable', 'string', 'max:20']]);
        $what = "passphrase $person->id";
        Waits::hold($what, 'passphrase', $request, $person);
        if (!SignIn::isPassphrase($person, $request->string('passphrase')->toString())) {
            Waits::slipped($what);
            AccessLog::note(AccessKind::WrongPassphrase, $request, $person);
            throw ValidationException::withMessages(['passphrase' => 'That is not your passphrase.']);
        }
        if ($person->credential?->hasCode() === true && !SecondFactor::isCode($person, $request->string('one_time_code')->toString())) {
            Waits::slipped($what);
            AccessLog::note(AccessKind::WrongCode, $request, $person);
            throw ValidationException::withMessages(['one_time_code' => 'That code does not hold. Each holds once: wait for the next.']);
        }
        Waits::forget($what);
    }
}
