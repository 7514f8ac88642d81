<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Verify;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Verify\ChooseOutcome;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Verification;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Verify\VerificationScreen;

/** The result of a check, and what follows from it. */
final class VerificationController
{
    public function show(Verification $verification): View
    {
        return view('verify.result', ['screen' => VerificationScreen::of($verification)]);
    }

    public function conclude(Request $request, Verification $verification, ChooseOutcome $choose): RedirectResponse
    {
        $request->validate(['outcome' => ['required', Rule::enum(Outcome::class)]]);
        $choose(
            Sent::person($request),
            IdempotencyKey::from($request),
            $verification,
            Outcome::from((string) $request->string('outcome')),
            Sent::remark($request, 'note'),
        );

        return redirect()->route('verifications.show', $verification);
    }
}
