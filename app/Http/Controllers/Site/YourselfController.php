<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Site\SetAddress;
use Rheacid\Core\Access\Role;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\Proof;
use Rheacid\Guard\SignIns;
use Rheacid\Http\Forms\Sent;

/** A person's own page: where warnings go, and where they are signed in. */
final class YourselfController
{
    public function show(Request $request): View
    {
        $person = Sent::person($request);

        return view('auth.yourself', ['address' => $person->credential?->email, 'signIns' => SignIns::open($person, $request)]);
    }

    public function update(Request $request, SetAddress $set): RedirectResponse
    {
        $request->validate(
            ['email' => ['nullable', 'string', 'max:200', 'email:rfc']],
            ['email' => 'Type an address like name@site.example, or leave it empty for no e-mails.'],
        );
        $person = Sent::person($request);
        // What a lead is told by e-mail, heads of the records among it, goes where the lead says, and nobody else who finds the bench.
        if ($person->role === Role::Lead) {
            Proof::passphrase($request, $person);
        }
        $address = $request->filled('email') ? $request->string('email')->trim()->toString() : null;
        $set($person, $address);
        AccessLog::note(AccessKind::ChangedAddress, $request, $person);

        return redirect()
            ->route('yourself')
            ->with('done', $address === null ? 'You get no e-mails.' : "Deadline warnings go to $address.");
    }
}
