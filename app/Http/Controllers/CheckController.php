<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Verify\ChooseOutcome;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Http\Bench;
use Rheacid\Models\ThermometerCheck;
use Rheacid\Records\SentForm;
use Rheacid\View\ResultScreen;

/** The result of a check, and what follows from it. */
final class CheckController
{
    public function show(ThermometerCheck $check): View
    {
        return view('verify.result', ['screen' => ResultScreen::of($check)]);
    }

    public function conclude(Request $request, ThermometerCheck $check, ChooseOutcome $choose): RedirectResponse
    {
        $request->validate(['outcome' => ['required', Rule::enum(Outcome::class)]]);
        $choose(Bench::person($request), SentForm::from($request), $check, Outcome::from((string) $request->string('outcome')), Bench::remark($request, 'note'));

        return redirect()->route('checks.result', $check);
    }
}
