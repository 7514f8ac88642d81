<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\IntervalKind;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Pair;
use Rheacid\Models\Measurement;
use Rheacid\Models\RunState;
use Rheacid\SiteClock;

/** Gathers from the records what the core needs to tell the state of a pair. */
final class Readiness
{
    public static function of(Pair $pair): PairStatus
    {
        return self::at($pair, $pair->newestCalibration, CarbonImmutable::now());
    }

    /** As it stood at a moment, on the calibration that was the newest then. */
    public static function at(Pair $pair, ?Calibration $calibration, CarbonImmutable $at): PairStatus
    {
        $care = $pair->electrode->careEvents->filter(static fn(CareEvent $event): bool => $event->at <= $at);
        $since = $calibration === null ? $care : $care->filter(static fn(CareEvent $event): bool => $event->at > $calibration->at);
        $wasStored = $since->contains(static fn(CareEvent $event): bool => $event->kind === CareKind::Stored);

        return PairStatus::at(
            $at,
            $calibration === null ? null : new CalibrationFacts(
                $calibration->verdict,
                $calibration->due_at,
                self::isDoubtful($calibration),
                $since->last(static fn(CareEvent $event): bool => $event->kind->makesCalibrationDue())?->kind,
                $calibration->policy->interval()->isSpent(self::readingsOn($calibration, $at), $wasStored),
                self::isOutOfBracket($calibration, $at),
            ),
            self::soakingUntil($care),
            self::outOfUseBy($care),
            $since->last()?->kind === CareKind::Stored,
        );
    }

    /** @param Collection<int, CareEvent> $care in the order of time */
    public static function soakingUntil(Collection $care): ?CarbonImmutable
    {
        return $care->last(static fn(CareEvent $event): bool => $event->kind === CareKind::Soak)?->until_at;
    }

    /** @param Collection<int, CareEvent> $care in the order of time */
    public static function outOfUseBy(Collection $care): ?CareKind
    {
        $use = $care->last(static fn(CareEvent $event): bool => $event->kind->takesOutOfUse() || $event->kind === CareKind::BackInUse);

        return $use?->kind->takesOutOfUse() === true ? $use->kind : null;
    }

    /** Counted only where the policy asks. */
    private static function readingsOn(Calibration $calibration, CarbonImmutable $at): int
    {
        return $calibration->policy->interval_kind === IntervalKind::Readings
            ? Measurement::query()->where('calibration_id', $calibration->id)->where('observed_at', '<=', $at)->count()
            : 0;
    }

    /** A reading that stands lay above its buffers or far below them. */
    private static function isOutOfBracket(Calibration $calibration, CarbonImmutable $at): bool
    {
        return Measurement::query()->where('calibration_id', $calibration->id)->where('observed_at', '<', $at)->whereDoesntHave('successor')
            ->whereHas('decision', static fn(Builder $decision) => $decision->where(static function (Builder $any): void {
                foreach (ReleaseBlock::OUT_OF_BRACKET as $block) {
                    $any->orWhereJsonContains('blocks', $block->value);
                }
            }))->exists();
    }

    public static function words(PairStatus $status): string
    {
        return StateWords::pair($status->state, $status->until === null ? null : SiteClock::short($status->until), $status->because);
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
