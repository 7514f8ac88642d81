<?php

declare(strict_types=1);

namespace Rheacid\Verify;

use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Thermometry\IntervalPlan;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Shelf\Thermometers;

/** When a thermometer is checked next, from its own record and that of alike probes in like service. */
final class NextInterval
{
    /** @param array{on: string, error: float, tolerance: float} $now the check that is being recorded */
    public static function of(Thermometer $thermometer, array $now): IntervalPlan
    {
        $service = $thermometer->service();
        $before = Verification::query()->where('thermometer_id', $thermometer->id)->orderBy('at')->orderBy('id')->get();
        $earned = $service->interval_days;
        $changedOn = null;
        foreach ($before as $check) {
            if ($check->earned_days !== null && $check->earned_days !== $earned) {
                // Only checks after the interval was last changed count towards a longer one.
                [$earned, $changedOn] = [$check->earned_days, $check->toCore()['on']];
            }
        }

        return IntervalPlan::after($earned, self::byDay([...array_map(static fn(Verification $check): array => $check->toCore(), $before->all()), $now]), $changedOn, $service->toCore(), self::alike($thermometer));
    }

    /**
     * Checks of probes of the same kind in the same place.
     *
     * @return list<non-empty-list<array{on: string, error: float, tolerance: float}>>
     */
    private static function alike(Thermometer $thermometer): array
    {
        $place = $thermometer->service()->place;
        if ($place === null) {
            return [];
        }
        $histories = [];
        foreach (Thermometer::query()->with(['newestService', 'newestVerification.outcome', 'checks'])->where('kind', $thermometer->kind)->whereKeyNot($thermometer->id)->get() as $other) {
            $inForce = Thermometers::status($other)->state;
            if ($other->service()->place === $place && $other->checks->isNotEmpty() && $inForce !== ThermometerState::OutOfUse) {
                $histories[] = self::byDay(array_map(static fn(Verification $check): array => $check->toCore(), $other->checks->all()));
            }
        }

        return $histories;
    }

    /**
     * Of several checks on a day the last one counts.
     *
     * @param array<array{on: string, error: float, tolerance: float}> $checks in the order of time
     *
     * @return non-empty-list<array{on: string, error: float, tolerance: float}>
     */
    private static function byDay(array $checks): array
    {
        $byDay = [];
        foreach ($checks as $check) {
            $byDay[$check['on']] = $check;
        }

        return $byDay === [] ? throw new \LogicException('There is a check at least.') : array_values($byDay);
    }
}
