<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Calibration;
use Rheacid\Models\Measurement;

/** Gathers from the records whether an independent buffer vouches for a calibration. */
final class Checks
{
    public static function status(Calibration $calibration, CarbonImmutable $at): ControlCheckStatus
    {
        $last = ControlCheck::query()->where('calibration_id', $calibration->id)->where('at', '<=', $at)->orderByDesc('at')->first();

        return ControlCheckStatus::at(
            $at,
            $last?->passed,
            $last?->at,
            $last === null ? 0 : Measurement::query()->where('calibration_id', $calibration->id)->where('observed_at', '>', $last->at)->where('observed_at', '<', $at)->count(),
        );
    }
}
