<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Site\Appoint;
use Rheacid\Actions\Site\Invite;
use Rheacid\Actions\Site\SetAddress;
use Rheacid\Core\Access\Role;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\Invitations;
use Rheacid\Guard\Passphrase;
use Rheacid\Guard\People;
use Rheacid\Guard\Proof;
use Rheacid\Guard\SignedInBy;
use Rheacid\Guard\SignIn;
use Rheacid\Guard\SignIns;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Person;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** Who works here: invited, changed, gone; and the page on which somebody comes in by a code. */
final class PeopleController
{
    public function index(): View
    {
        return view('people.index', ['people' => People::page()]);
    }

    public function store(Request $request, Invite $invite, SetAddress $setAddress): RedirectResponse
    {
        $request->validate(
            [
                'name' => ['required', 'string', 'max:80'],
                'username' => Passphrase::USERNAME,
                'role' => ['required', Rule::enum(Role::class)],
                'email' => ['nullable', 'string', 'max:200', 'email:rfc'],
            ],
            [
                'name' => 'Type the name as it should appear on records, like Oda Venn.',
                'username' => Passphrase::messages()['username'],
                'role' => 'Choose a role.',
                'email' => 'Type an address like name@site.example, or leave it empty.',
            ],
        );
        $person = $invite(
            Sent::person($request),
            IdempotencyKey::from($request),
            SignIn::plain($request->string('username')->toString()),
            trim($request->string('name')->toString()),
            Role::from($request->string('role')->toString()),
        );
        if ($request->filled('email')) {
            $setAddress($person, $request->string('email')->trim()->toString());
        }

        return $this->showCode($request, $person);
    }

    public function code(Request $request, Person $person): RedirectResponse
    {
        if ($person->credential === null) {
            throw Refused::because('This is the site itself, not a person.');
        }
        if (!$person->enabled) {
            throw Refused::because("$person->name has left. Tick “works here” first, then make a code.");
        }
        if (People::wasEverLead($person)) {
            $this->secondLead($request, Sent::person($request), $person);
        }

        return $this->showCode($request, $person);
    }

    public function appoint(Request $request, Person $person, Appoint $appoint): RedirectResponse
    {
        $request->validate(
            ['role' => ['required', Rule::enum(Role::class)], 'reason' => ['required', 'string', 'max:400']],
            ['reason' => 'Write why.'],
        );
        $appoint(
            Sent::person($request),
            IdempotencyKey::from($request),
            $person,
            Role::from($request->string('role')->toString()),
            $request->boolean('enabled'),
            trim($request->string('reason')->toString()),
        );
        AccessLog::note(AccessKind::Appointed, $request, $person);

        return redirect()->route('people')->with('done', 'Saved. It applies at once.');
    }

    /** Ends every session of somebody. */
    public function signOut(Request $request, Person $person): RedirectResponse
    {
        SignIns::endAll($person);
        AccessLog::note(AccessKind::EndedSessions, $request, $person);

        return redirect()
            ->route('people')
            ->with('done', "$person->name is signed out everywhere.");
    }

    public function join(): View
    {
        return view('people.join');
    }

    public function enter(Request $request): RedirectResponse
    {
        // Read before it is checked: a list counts as no code.
        $code = is_string($request->input('one_time_code')) ? $request->input('one_time_code') : '';
        $person = Invitations::person($code);
        $request->validate(
            [
                'one_time_code' => ['required', 'string', 'max:40'],
                ...Passphrase::rules((string) $person?->name, (string) $person?->credential?->username),
            ],
            ['one_time_code' => 'Type the invitation code that a lead gave you.', ...Passphrase::messages()],
        );
        if ($person?->enabled === false) {
            throw Refused::because('Your account is disabled. Ask a lead.', 'one_time_code');
        }
        if ($person === null || !Invitations::use($code)) {
            AccessLog::note(AccessKind::WrongPassphrase, $request, null, 'by a code');
            throw Refused::because(
                sprintf(
                    'That code is not valid: it was already used, is older than %d days, or was mistyped. Ask a lead for a new one.',
                    Invitations::DAYS,
                ),
                'one_time_code',
            );
        }
        SignIn::set($person, $request->string('passphrase')->toString(), $request->string('pin')->toString());
        SignedInBy::comeIn($request, $person, AccessKind::CameIn);

        return redirect()
            ->route('today')
            ->with('done', "Welcome, $person->name.");
    }

    /** With such a code one lead could act as another: a second lead stands by and shows the passphrase, or it is made at the machine. */
    private function secondLead(Request $request, Person $by, Person $for): void
    {
        $second = Proof::second($request);
        if ($second?->role !== Role::Lead || $second->is($by) || $second->is($for)) {
            throw Refused::because(
                "A code for $for->name, who is or was a lead, needs a second lead, who types sign-in name and passphrase. If there is no "
                    . "second lead, run bin/person on the server.",
                'second',
            );
        }
    }

    /** The code is shown once, to who made it. */
    private function showCode(Request $request, Person $person): RedirectResponse
    {
        AccessLog::note(AccessKind::MadeCode, $request, Sent::person($request));
        AccessLog::note(AccessKind::GivenCode, $request, $person);

        return redirect()
            ->route('people')
            ->with('code', ['name' => $person->name, 'code' => Invitations::code($person)]);
    }
}
