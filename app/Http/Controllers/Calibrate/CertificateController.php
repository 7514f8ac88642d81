<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Calibrate;

use Dompdf\Dompdf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Rheacid\Models\Calibration;
use Rheacid\Models\Verification;
use Rheacid\View\Calibrate\Certificate;

/** Certificates of calibrations and verifications, on the screen, on paper and as PDF. */
final class CertificateController
{
    public function calibration(Calibration $calibration): View
    {
        return view('certificate.page', ['certificate' => Certificate::ofCalibration($calibration)]);
    }

    public function calibrationPdf(Calibration $calibration): Response
    {
        return self::pdf(Certificate::ofCalibration($calibration));
    }

    public function verification(Verification $verification): View
    {
        return view('certificate.page', ['certificate' => Certificate::ofVerification($verification)]);
    }

    public function verificationPdf(Verification $verification): Response
    {
        return self::pdf(Certificate::ofVerification($verification));
    }

    private static function pdf(Certificate $certificate): Response
    {
        $pdf = new Dompdf([
            'isRemoteEnabled' => false,
            'isPhpEnabled' => false,
            'isJavascriptEnabled' => false,
            'defaultFont' => 'DejaVu Sans',
        ]);
        $style = (string) file_get_contents(resource_path('css/certificate.css'));
        $pdf->getCss()->load_css($style);
        $pdf->loadHtml(view('certificate.pdf', ['certificate' => $certificate])->render());
        $pdf->setPaper('A4');
        $pdf->render();

        return response((string) $pdf->output(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$certificate->fileName()}\"",
        ]);
    }
}
