<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\Waits;
use Rheacid\Http\Bench;

final class SignInController
{
    public function create(): View
    {
        return view('auth.sign-in');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(['username' => ['required', 'string', 'max:40'], 'passphrase' => ['required', 'string', 'max:200']]);
        $person = SignIn::byPassphrase($request->string('username')->toString(), $request->string('passphrase')->toString());
        if ($person === null) {
            AccessLog::note(AccessKind::WrongPassphrase, $request, null, $request->string('username')->toString());
            throw ValidationException::withMessages(['username' => 'Name and passphrase do not belong together.']);
        }
        Waits::forget("pin $person->id");
        Auth::login($person);
        $request->session()->regenerate();
        AccessLog::note(AccessKind::SignedIn, $request, $person);

        return redirect()->intended(route('today'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        AccessLog::note(AccessKind::SignedOut, $request, Bench::person($request));
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
