<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\Waits;

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
            throw ValidationException::withMessages(['username' => 'Name and passphrase do not belong together.']);
        }
        Waits::forget("pin $person->id");
        Auth::login($person);
        $request->session()->regenerate();

        return redirect()->intended(route('today'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
