<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Rheacid\Models\Calibration;
use Rheacid\Models\Verification;
use Rheacid\Records\Ledger;
use Rheacid\View\Verify\VerificationScreen;

/** A calibration or a verification on one sheet, for whoever asks how the number is known. */
final readonly class Certificate
{
    /**
     * @param view-string $body
     * @param string $head hash of the ledger's last line: printed on paper, it shows a tail that was cut later
     */
    private function __construct(
        public string $of,
        public string $room,
        public string $body,
        public string $back,
        public CalibrationScreen|VerificationScreen $screen,
        public string $head,
    ) {}

    public static function ofCalibration(Calibration $calibration): self
    {
        return new self(
            "calibration {$calibration->pair->electrode->code} / $calibration->id",
            'Calibrate',
            'certificate.calibration',
            route('calibrations.show', $calibration),
            CalibrationScreen::of($calibration),
            Ledger::head(),
        );
    }

    public static function ofVerification(Verification $check): self
    {
        return new self(
            "verification {$check->thermometer->code} / $check->id",
            'Verify',
            'certificate.verification',
            route('verifications.show', $check),
            VerificationScreen::of($check),
            Ledger::head(),
        );
    }

    public function fileName(): string
    {
        return str_replace([' / ', ' '], '-', "certificate $this->of.pdf");
    }
}
