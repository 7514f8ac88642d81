<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Rheacid\Core\Access\Secrets;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\Device;
use Rheacid\Guard\People;
use Rheacid\Guard\SecondFactor;
use Rheacid\Guard\SignedInBy;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\SignIns;
use Rheacid\Guard\SignInTries;
use Rheacid\Guard\Waits;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Person;
use Rheacid\Models\Site;

/** By name and passphrase, and by the authenticator code where somebody has set one up. */
final class SignInController
{
    /** Who has shown a passphrase, and since when; so long the code may be typed. */
    private const HALFWAY = 'halfway';
    private const HALFWAY_S = 300;

    public function create(): View|RedirectResponse
    {
        return Site::current() === null ? redirect()->route('set-up') : view('auth.sign-in');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(['username' => ['required', 'string', 'max:40'], 'passphrase' => ['required', 'string', 'max:200']]);
        [$username, $passphrase] = [$request->string('username')->toString(), $request->string('passphrase')->toString()];
        $tries = SignInTries::of($request, $username);
        $wait = $tries->take();
        if ($wait > 0) {
            AccessLog::note(AccessKind::MadeToWait, $request, null, $username);
            throw ValidationException::withMessages([
                'username' => 'Too many attempts: wait ' . Waits::words($wait) . ', then try again.',
            ])->status(429);
        }
        $person = SignIn::byPassphrase($username, $passphrase);
        if ($person === null) {
            AccessLog::note(AccessKind::WrongPassphrase, $request, null, $username);
            throw ValidationException::withMessages(['username' => 'Sign-in name or passphrase is not correct.']);
        }
        $tries->forget();
        if (Secrets::passphraseProblem($passphrase, (string) $person->name, $username) !== null) {
            SignedInBy::mustChange($request, 'passphrase');
        }
        if ($person->credential?->hasCode() === true) {
            $request->session()->put(self::HALFWAY, [$person->id, CarbonImmutable::now()->getTimestamp()]);

            return redirect()->route('sign-in.code');
        }

        return $this->enter($request, $person, AccessKind::SignedIn);
    }

    public function ask(Request $request): View|RedirectResponse
    {
        return $this->halfway($request) === null ? redirect()->route('sign-in') : view('auth.code');
    }

    public function code(Request $request): RedirectResponse
    {
        $person = $this->halfway($request);
        if ($person === null) {
            return redirect()
                ->route('sign-in')
                ->withErrors(['username' => 'That took more than five minutes. Start again.']);
        }
        $request->validate(
            [
                'one_time_code' => ['nullable', 'string', 'max:20', 'required_without:recovery'],
                'recovery' => ['nullable', 'string', 'max:40'],
            ],
            ['one_time_code.required_without' => 'Type the six digits from the authenticator app, or a recovery code.'],
        );
        // Guessing elsewhere makes nobody wait on a device of their own.
        $what = "code $person->id " . (Device::known($request, (string) $person->credential?->username) ?? 'elsewhere');
        Waits::hold($what, 'one_time_code', $request, $person);
        $isRecovery = $request->filled('recovery');
        if (
            !($isRecovery
                ? SecondFactor::isRecovery($person, $request->string('recovery')->toString())
                : SecondFactor::isCode($person, $request->string('one_time_code')->toString()))
        ) {
            AccessLog::note(AccessKind::WrongCode, $request, $person);
            throw ValidationException::withMessages([
                'one_time_code'
                    => $person->credential?->isCodeRemoved() === true
                        ? 'Your authenticator no longer works because the records were restored from a backup. Use a recovery code, or ask '
                            . 'a lead for an invitation code.'
                        : 'That code is not valid. Each code works once, for 30 seconds. Check that the time on your phone is right.',
            ]);
        }
        Waits::forget($what);
        $request->session()->forget(self::HALFWAY);

        return $this->enter($request, $person, $isRecovery ? AccessKind::UsedRecovery : AccessKind::SignedIn);
    }

    public function destroy(Request $request): RedirectResponse
    {
        AccessLog::note(AccessKind::SignedOut, $request, Sent::person($request));
        SignIns::endHere($request);
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }

    private function enter(Request $request, Person $person, AccessKind $how): RedirectResponse
    {
        Device::remember($request, (string) $person->credential?->username);
        SignedInBy::comeIn($request, $person, $how);

        return redirect()->intended(route('today'));
    }

    private function halfway(Request $request): ?Person
    {
        [$id, $since] = $request->session()->get(self::HALFWAY) ?? [null, 0];

        return is_int($id) && CarbonImmutable::now()->getTimestamp() - $since <= self::HALFWAY_S ? People::here($id) : null;
    }
}
