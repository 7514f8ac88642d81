<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

final class SignInController
{
    public function create(): View
    {
        return view('auth.sign-in');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(['username' => ['required', 'string', 'max:40'], 'passphrase' => ['required', 'string', 'max:200']]);
        if (!Auth::attempt(['username' => $request->string('username')->lower()->toString(), 'password' => $request->string('passphrase')->toString()])) {
            throw ValidationException::withMessages(['username' => 'Name and passphrase do not belong together.']);
        }
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
