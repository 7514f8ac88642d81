<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Rheacid\Actions\Site\SetUp;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Core\Words\Quantity;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\SetUpCode;
use Rheacid\Guard\SignedInBy;
use Rheacid\Guard\SignIn;
use Rheacid\Http\Forms\Site\SetUpRequest;
use Rheacid\Models\Site;
use Rheacid\Records\Refused;

/** The first page of an empty installation: the site, and the lead who founds it. */
final class SetUpController
{
    public function create(): View|RedirectResponse
    {
        return Site::current() === null ? view('auth.set-up', ['zones' => \DateTimeZone::listIdentifiers()]) : redirect()->route('sign-in');
    }

    public function store(SetUpRequest $request, SetUp $setUp): RedirectResponse
    {
        if (Site::current() !== null) {
            return redirect()->route('sign-in');
        }
        if (!SetUpCode::use($request->string('one_time_code')->toString())) {
            throw Refused::because(
                'That code is not valid: it was already used, is older than three days, or was mistyped. bin/start prints a new one.',
                'one_time_code',
            );
        }
        try {
            $text = static fn(string $field): string => $request->string($field)->trim()->toString();
            $lead = $setUp(
                $text('site'),
                $text('time_zone'),
                $text('temperatures') === 'F',
                $text('numbers') === 'comma',
                Quantity::Elevation->read($text('elevation')),
                $request->enum('barometer', Barometer::class),
                SignIn::plain($text('username')),
                $text('name'),
                $request->string('passphrase')->toString(),
                $text('pin'),
            );
        } catch (\Throwable $failure) {
            SetUpCode::giveBack();
            throw $failure;
        }
        SignedInBy::comeIn($request, $lead, AccessKind::CameIn);

        return redirect()->route('today')->with('done', 'The site is set up. The next steps are on this page, in any order.');
    }
}
