<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CheckStanding;
use Rheacid\Models\BufferCheck;
use Rheacid\Models\Calibration;
use Rheacid\Models\Reading;

/** Gathers from the records whether an independent buffer vouches for a calibration. */
final class Checks
{
    public static function standing(Calibration $calibration, CarbonImmutable $at): CheckStanding
    {
        $last = BufferCheck::query()->where('calibration_id', $calibration->id)->where('at', '<=', $at)->orderByDesc('at')->first();

        return CheckStanding::at(
            $at,
            $last?->passed,
            $last?->at,
            $last === null ? 0 : Reading::query()->where('calibration_id', $calibration->id)->where('observed_at', '>', $last->at)->where('observed_at', '<', $at)->count(),
        );
    }
}
