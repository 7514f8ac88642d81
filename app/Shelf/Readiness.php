<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\PairStanding;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Pair;
use Rheacid\Models\RunState;
use Rheacid\Plant;

/** Gathers from the records what the core needs to tell the state of a pair. */
final class Readiness
{
    public static function of(Pair $pair): PairStanding
    {
        return self::at($pair, $pair->newestCalibration, CarbonImmutable::now());
    }

    /** As it stood at a moment, on the calibration that was the newest then. */
    public static function at(Pair $pair, ?Calibration $calibration, CarbonImmutable $at): PairStanding
    {
        $care = $pair->electrode->careEvents->filter(static fn(CareEvent $event): bool => $event->at <= $at);
        $soak = $care->last(static fn(CareEvent $event): bool => $event->kind === 'soak');
        $use = $care->last(static fn(CareEvent $event): bool => in_array($event->kind, ['out-of-use', 'back-in-use'], true));

        return PairStanding::at(
            $at,
            $calibration === null ? null : new CalibrationFacts($calibration->verdict, $calibration->due_at, self::isDoubtful($calibration)),
            $soak?->until_at,
            $use?->kind === 'out-of-use',
        );
    }

    public static function words(PairStanding $standing): string
    {
        return StateWords::pair($standing->state, $standing->until === null ? null : Plant::short($standing->until));
    }

    /** Voided, or found off by more than the read-back limit in a run that was begun since and not completed. */
    private static function isDoubtful(Calibration $calibration): bool
    {
        return $calibration->void !== null || CalibrationPoint::query()
            ->whereHas('run', static fn(Builder $run) => $run
                ->where('pair_id', $calibration->pair_id)
                ->where('state', RunState::Abandoned)
                ->where('opened_at', '>', $calibration->at))
            ->whereRaw('abs(as_found_ph - buffer_ph) > ?', [$calibration->policy->read_back_limit_ph])
            ->exists();
    }
}
