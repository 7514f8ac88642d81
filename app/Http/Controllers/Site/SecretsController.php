<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\Passphrase;
use Rheacid\Guard\Proof;
use Rheacid\Guard\SignedInBy;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\SignIns;
use Rheacid\Http\Forms\Sent;

/** A person's own passphrase and PIN, and where that person is signed in. */
final class SecretsController
{
    public function show(Request $request): View
    {
        $person = Sent::person($request);

        return view('auth.secrets', [
            'person' => $person,
            'mustChange' => SignedInBy::toChange($request),
            'signIns' => SignIns::open($person, $request),
        ]);
    }

    public function passphrase(Request $request): RedirectResponse
    {
        $person = Sent::person($request);
        Proof::passphraseAndCode($request, $person, 'current_passphrase');
        $request->validate(Passphrase::passphrase((string) $person->name, (string) $person->credential?->username), Passphrase::messages());
        SignIn::changePassphrase($person, $request->string('passphrase')->toString());
        SignIns::endAll($person, $request);
        SignedInBy::hasChanged($request, 'passphrase');
        AccessLog::note(AccessKind::ChangedPassphrase, $request, $person);

        return redirect()->route('yourself.secrets')->with('done', 'Passphrase changed. You are signed out on all other devices.');
    }

    public function pin(Request $request): RedirectResponse
    {
        $person = Sent::person($request);
        Proof::passphraseAndCode($request, $person, 'current_passphrase');
        $request->validate(Passphrase::pin(), Passphrase::messages());
        SignIn::changePin($person, $request->string('pin')->toString());
        SignIns::endAll($person, $request);
        SignedInBy::hasChanged($request, 'pin');
        AccessLog::note(AccessKind::ChangedPin, $request, $person);

        return redirect()->route('yourself.secrets')->with('done', 'PIN changed. You are signed out on all other devices.');
    }

    public function end(Request $request, int $session): RedirectResponse
    {
        abort_unless(SignIns::end($person = Sent::person($request), $session), 404);
        AccessLog::note(AccessKind::EndedSessions, $request, $person);

        return redirect()->route('yourself.secrets')->with('done', 'Signed out on that device.');
    }
}
