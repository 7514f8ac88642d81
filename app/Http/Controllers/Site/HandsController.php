<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Rheacid\Core\Access\Secrets;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\People;
use Rheacid\Guard\SignedInBy;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\Waits;
use Rheacid\Http\Forms\Sent;
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
        // By who guesses as well: a colleague who mistypes at another bench makes nobody wait at this one.
        $what = sprintf('pin %d by %d', $person->id, Sent::person($request)->id);
        Waits::hold($what, 'pin', $request, $person);
        if (!SignIn::isPin($person, $request->string('pin')->toString())) {
            AccessLog::note(AccessKind::WrongPin, $request, $person);
            throw ValidationException::withMessages(['pin' => 'PIN is not correct.']);
        }
        Waits::forget($what);
        $back = $request->session()->pull('hands.back');
        SignedInBy::comeIn($request, $person, AccessKind::ChangedHands);
        if (Secrets::pinProblem($request->string('pin')->toString()) !== null) {
            SignedInBy::mustChange($request, 'pin');
        }

        return redirect()->to(is_string($back) ? $back : route('today'))->with('done', "{$person->name} is at the bench.");
    }
}
