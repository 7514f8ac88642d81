<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Rheacid\Core\Care\ControlCheckFacts;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\Calibration;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Measurement;
use Rheacid\Models\Site;

/** Gathers from the records whether an independent buffer confirms what was read on a calibration. */
final class ControlChecks
{
    public static function status(Calibration $calibration, CarbonImmutable $at): ControlCheckStatus
    {
        $settled = self::counting($calibration);
        $around = array_filter([
            (clone $settled)->where('at', '<=', $at)->orderByDesc('at')->orderByDesc('id')->first(),
            (clone $settled)->where('at', '>', $at)->orderBy('at')->orderBy('id')->first(),
        ]);

        return ControlCheckStatus::at(
            $at,
            array_values(
                array_map(
                    static fn(ControlCheck $check): ControlCheckFacts => new ControlCheckFacts(
                        CarbonImmutable::instance($check->at),
                        $check->passed === true,
                        $check->error(),
                        self::between($calibration, CarbonImmutable::instance($check->at), $at),
                    ),
                    $around,
                ),
            ),
        );
    }

    /**
     * Those that had settled, from where numbers are evidence; of a typed one somebody has to have watched that.
     *
     * @return Builder<ControlCheck>
     */
    public static function counting(Calibration $calibration): Builder
    {
        $settled = ControlCheck::query()
            ->where('calibration_id', $calibration->id)
            ->whereNotNull('passed')
            ->whereIn('source', Site::evidence());

        return $calibration->policy->said_proves === true
            ? $settled
            : $settled->where(static fn(Builder $check) => $check->whereNull('stability')->orWhere('stability', '<>', Stability::Said));
    }

    private static function between(Calibration $calibration, CarbonImmutable $check, CarbonImmutable $at): int
    {
        return Measurement::query()
            ->where('calibration_id', $calibration->id)
            ->where('observed_at', '>', $check->min($at))
            ->where('observed_at', '<', $check->max($at))
            ->count();
    }
}
