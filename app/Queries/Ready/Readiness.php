<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\IntervalKind;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\Measurement;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Models\RunEvent;
use Rheacid\Site\SiteClock;

/** Gathers from the records what the core needs to tell the state of a pair or sensor. */
final class Readiness
{
    public static function of(Pair $pair): PairStatus
    {
        return self::status($pair, CareLog::of($pair->electrode), CarbonImmutable::now());
    }

    /** As it stood at a moment, on the calibration that was the newest then. */
    public static function at(Pair $pair, Calibration $calibration, CarbonImmutable $at): PairStatus
    {
        $care = CareLog::of($pair->electrode, $at);

        return PairStatus::at(
            $at,
            self::calibration($calibration, $care, $at),
            $care->soakingUntil(),
            $care->outOfUseBy(),
            $care->isStoredNow(),
        );
    }

    /** Of the newest calibration; null without one. */
    public static function facts(Pair $pair, CareLog $care, CarbonImmutable $now): ?CalibrationFacts
    {
        if ($pair->electrode->measures === Measures::Ph) {
            return $pair->newestCalibration === null ? null : self::calibration($pair->newestCalibration, $care, $now);
        }
        $cell = $pair->newestCell;

        return $cell === null
            ? null
            : new CalibrationFacts(
                $cell->verdict,
                CarbonImmutable::instance($cell->due_at),
                false,
                $care->incidentSince(CarbonImmutable::instance($cell->at)),
            );
    }

    public static function words(PairStatus $status): string
    {
        return StateWords::pair($status->state, $status->until === null ? null : SiteClock::short($status->until), $status->because);
    }

    private static function status(Pair $pair, CareLog $care, CarbonImmutable $now): PairStatus
    {
        return PairStatus::at($now, self::facts($pair, $care, $now), $care->soakingUntil(), $care->outOfUseBy(), $care->isStoredNow());
    }

    private static function calibration(Calibration $calibration, CareLog $care, CarbonImmutable $at): CalibrationFacts
    {
        $since = CarbonImmutable::instance($calibration->at);
        $wasStored = in_array(CareKind::Stored, $care->since($since), true);

        return new CalibrationFacts(
            $calibration->verdict,
            CarbonImmutable::instance($calibration->due_at),
            self::isDoubtful($calibration),
            $care->incidentSince($since),
            $calibration->policy->interval()->isSpent(self::readingsOn($calibration, $at), $wasStored),
        );
    }

    /** Counted only where the policy asks. */
    private static function readingsOn(Calibration $calibration, CarbonImmutable $at): int
    {
        return $calibration->policy->interval_kind === IntervalKind::Readings
            ? Measurement::query()->where('calibration_id', $calibration->id)->where('observed_at', '<=', $at)->count()
            : 0;
    }

    /** Voided, or found off by more than the read-back limit in a run that was begun since and not completed. */
    private static function isDoubtful(Calibration $calibration): bool
    {
        return $calibration->void !== null
            || CalibrationPoint::query()
                ->whereIn(
                    'calibration_run_id',
                    RunEvent::query()
                        ->select('calibration_run_id')
                        ->whereIn('kind', RunEvent::ENDED_EARLY)
                        ->where('at', '>', $calibration->at)
                        // Runs of before this was sealed with the event are asked themselves.
                        ->where(
                            static fn(Builder $event) => $event
                                ->where('pair_id', $calibration->pair_id)
                                ->orWhere(
                                    static fn(Builder $old) => $old
                                        ->whereNull('pair_id')
                                        ->whereRelation('run', 'pair_id', $calibration->pair_id),
                                ),
                        ),
                )
                ->whereRaw('abs(as_found_ph - buffer_ph) > ?', [$calibration->policy->read_back_limit_ph])
                ->exists();
    }
}
