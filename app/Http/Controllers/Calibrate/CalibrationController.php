<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Calibrate;

use Illuminate\Contracts\View\View;
use Rheacid\Models\Calibration;
use Rheacid\View\Calibrate\CalibrationScreen;

/** A calibration with its verdict and everything behind it. */
final class CalibrationController
{
    public function __invoke(Calibration $calibration): View
    {
        return view('calibrate.verdict', ['screen' => CalibrationScreen::of($calibration)]);
    }
}
