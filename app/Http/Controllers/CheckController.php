<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Dompdf\Dompdf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Verify\ChooseOutcome;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Http\Bench;
use Rheacid\Models\ThermometerCheck;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\SentForm;
use Rheacid\View\ResultScreen;

/** The result of a check, what follows from it, and its certificate. */
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

    public function certificate(ThermometerCheck $check): View
    {
        return view('verify.certificate', ['screen' => ResultScreen::of($check), 'head' => LedgerCheck::head()]);
    }

    public function pdf(ThermometerCheck $check): Response
    {
        $pdf = new Dompdf(['isRemoteEnabled' => false, 'isPhpEnabled' => false, 'isJavascriptEnabled' => false, 'defaultFont' => 'DejaVu Sans']);
        $style = (string) file_get_contents(resource_path('css/certificate.css'));
        $pdf->getCss()->load_css($style);
        $pdf->loadHtml(view('verify.certificate-pdf', ['screen' => ResultScreen::of($check), 'head' => LedgerCheck::head()])->render());
        $pdf->setPaper('A4');
        $pdf->render();

        return response((string) $pdf->output(), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"certificate-{$check->thermometer->code}-{$check->id}.pdf\""]);
    }
}
