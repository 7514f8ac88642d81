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
use Rheacid\Guard\People;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\Waits;
use Rheacid\Models\Person;

/** Changing hands at the bench: a name, a PIN. Work in hand stays with who began it until it is taken over. */
final class HandsController
{
    public function index(Request $request): View
    {
        $previous = url()->previous();
        if (!str_contains($previous, '/hands')) {
            $request->session()->put('hands.back', $previous);
        }

        return view('auth.hands', ['people' => People::withPin()]);
    }

    public function create(Person $person): View
    {
        return view('auth.pin', ['person' => $person]);
    }

    public function store(Request $request, Person $person): RedirectResponse
    {
        $request->validate(['pin' => ['required', 'string', 'max:12']], ['pin.required' => 'Type the PIN.']);
        $wait = Waits::left("pin $person->id");
        if ($wait > 0) {
            AccessLog::note(AccessKind::MadeToWait, $request, $person);
            throw ValidationException::withMessages(['pin' => sprintf('Too many wrong PINs: wait %s, or sign in with the passphrase, which always works.', $wait < 120 ? "$wait s" : ceil($wait / 60) . ' min')])->status(429);
        }
        if (!SignIn::isPin($person, $request->string('pin')->toString())) {
            Waits::slipped("pin $person->id");
            AccessLog::note(AccessKind::WrongPin, $request, $person);
            throw ValidationException::withMessages(['pin' => 'Name and PIN do not belong together.']);
        }
        Waits::forget("pin $person->id");
        $back = $request->session()->pull('hands.back');
        Auth::login($person);
        $request->session()->regenerate();
        AccessLog::note(AccessKind::ChangedHands, $request, $person);

        return redirect()->to(is_string($back) ? $back : route('today'))->with('done', "{$person->name} is at the bench.");
    }
}
