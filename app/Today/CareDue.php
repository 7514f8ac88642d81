<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\CareWords;
use Rheacid\Core\Words\DiagnosisWords;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Pair;
use Rheacid\SiteClock;
use Rheacid\Shelf\Health;

/** What an electrode needs besides calibrating: what its last calibration called for, its regular care, its successor. */
final class CareDue
{
    /** So long before it leaves the policy the next electrode is ordered. Common practice, no source. */
    public const ORDER_AHEAD_DAYS = 14;

    /** A forecast further off is no concern of today. */
    private const FORESEEN_DAYS = 60;

    /** The first step that the last calibration called for and that nobody has done yet; null where nothing is left but to calibrate. */
    public static function nextStep(Pair $pair): ?CareStep
    {
        $calibration = $pair->newestCalibration;
        if ($calibration?->diagnosis === null) {
            return null;
        }
        foreach ($calibration->diagnosis->followUp() as $step) {
            $by = $step->doneBy();
            $isDone = $by === null || $pair->electrode->careEvents->contains(static fn(CareEvent $event): bool => $event->kind === $by && $event->at > $calibration->at);
            if (!$isDone || $step === CareStep::Replace) {
                return $step;
            }
        }

        return null;
    }

    public static function followUp(Pair $pair): ?Task
    {
        $step = self::nextStep($pair);
        $diagnosis = $pair->newestCalibration?->diagnosis;
        if ($step === null || $diagnosis === null) {
            return null;
        }
        $after = array_slice($diagnosis->followUp(), (int) array_search($step, $diagnosis->followUp(), true) + 1);
        $then = $after === [] ? '' : ' Then ' . implode(', then ', array_map(CareWords::step(...), $after)) . '.';

        return new Task('ready', sprintf('%s: %s', $pair->electrode->code, CareWords::step($step)), DiagnosisWords::likely($diagnosis) . $then, route($step === CareStep::Replace ? 'pairing' : 'pairs.show', $step === CareStep::Replace ? [] : $pair), $step === CareStep::Replace ? 'Pair a new one' : 'Log it', 'care');
    }

    /** @return list<Task> regular care that is due by the end of the day, and the electrode that should be ordered */
    public static function today(Pair $pair): array
    {
        $tasks = [];
        $endOfDay = SiteClock::endOfDay(CarbonImmutable::now());
        foreach (self::schedule($pair) as $due) {
            if ($due['at'] <= $endOfDay) {
                $tasks[] = new Task('ready', CareWords::toDo($due['kind'], $pair->electrode->code), sprintf('due since %s · %s', SiteClock::day($due['at']), CareWords::how($due['kind']) ?? ''), route('pairs.show', $pair), 'Log it', 'idle');
            }
        }

        return [...$tasks, ...array_filter([self::order($pair)])];
    }

    /** @return list<array{kind: CareKind, at: \DateTimeImmutable}> soonest first */
    public static function schedule(Pair $pair): array
    {
        $last = [];
        foreach ($pair->electrode->careEvents as $event) {
            $last[$event->kind->value] = $event->until_at ?? $event->at;
        }

        return CareSchedule::next($pair->electrode->first_used_on, $last);
    }

    /** Whether a day that a trend tells is near enough to act upon. */
    public static function isForeseen(string $leavesOn): bool
    {
        return CarbonImmutable::parse($leavesOn)->lessThan(CarbonImmutable::now()->addDays(self::FORESEEN_DAYS));
    }

    private static function order(Pair $pair): ?Task
    {
        $leaves = Health::trend($pair)?->leavesPolicyOn;
        if ($leaves !== null && self::isForeseen($leaves)) {
            return new Task('ready', "Order the successor of {$pair->electrode->code}", sprintf('by its trend the slope leaves the policy on %s (below %s %%)', SiteClock::day(CarbonImmutable::parse($leaves)), Numbers::plain($pair->policy->slope_low_percent)), route('pairs.show', $pair), 'Look', 'care');
        }
        $replaceBy = CareSchedule::replaceBy($pair->electrode->first_used_on);

        return $replaceBy <= CarbonImmutable::now()->addDays(self::ORDER_AHEAD_DAYS)
            ? new Task('ready', "Order the successor of {$pair->electrode->code}", sprintf('in use since %s; an electrode usually lasts about a year', SiteClock::day($pair->electrode->first_used_on)), route('pairs.show', $pair), 'Look', 'idle')
            : null;
    }
}
