<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\SiteClock;
use Rheacid\Shelf\Cells;
use Rheacid\Shelf\Readiness;
use Rheacid\Shelf\Thermometers;

/** What electrodes, sensors and thermometers ask for. */
final class InstrumentTasks
{
    /** @return list<Task> */
    public static function toCalibrate(DayPlan $plan): array
    {
        $tasks = [];
        foreach ($plan->pairs() as $pair) {
            $state = $plan->status($pair)->state;
            $waits = $state->isInForce() || in_array($state, [PairState::Soaking, PairState::OutOfUse, PairState::Retired], true);
            if ($pair->openRun === null && !$waits && CareDue::nextStep($pair) === null) {
                $tasks[] = new Task('calibrate', "Calibrate {$pair->electrode->code} on {$pair->name()}", Readiness::words($plan->status($pair)) . self::freshBuffers($pair), route('runs.create', $pair), 'Calibrate', $state === PairState::Failed ? 'fail' : 'care');
            }
        }

        return $tasks;
    }

    private static function freshBuffers(Pair $pair): string
    {
        return in_array(CareStep::FreshBuffers, $pair->newestCalibration?->diagnosis?->followUp() ?? [], true) ? ' · take fresh buffers' : '';
    }

    /** @return list<Task> what the last calibrations called for */
    public static function followUps(DayPlan $plan): array
    {
        return array_values(array_filter($plan->pairs()->map(static fn(Pair $pair): ?Task => $plan->status($pair)->state === PairState::Soaking ? null : CareDue::followUp($pair))->all()));
    }

    /** @return list<Task> */
    public static function care(DayPlan $plan): array
    {
        $tasks = [];
        foreach ($plan->pairs() as $pair) {
            if (!in_array($plan->status($pair)->state, [PairState::Soaking, PairState::OutOfUse], true)) {
                array_push($tasks, ...CareDue::today($pair));
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    public static function cells(DayPlan $plan): array
    {
        $tasks = [];
        foreach ($plan->cells() as $pair) {
            $status = Cells::status($pair);
            if (!$status->state->isInForce() && !in_array($status->state, [PairState::Soaking, PairState::OutOfUse, PairState::Retired], true)) {
                $tasks[] = new Task('calibrate', sprintf('Calibrate %s (%s)', $pair->electrode->code, $pair->electrode->measures->words()), Readiness::words($status), route('cells.show', $pair), 'Calibrate', 'care');
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    public static function toCheck(DayPlan $plan): array
    {
        return array_map(static function (Thermometer $thermometer): Task {
            $status = Thermometers::status($thermometer);

            return new Task('verify', "Check $thermometer->code, $thermometer->name", Thermometers::words($status), route('verify.show', $thermometer), 'Verify', $status->state === ThermometerState::Failed ? 'fail' : 'care');
        }, $plan->thermometersDue());
    }

    /** @return list<Task> */
    public static function soaks(DayPlan $plan): array
    {
        $tasks = [];
        foreach ($plan->pairs() as $pair) {
            $status = $plan->status($pair);
            if ($status->state === PairState::Soaking && $status->until !== null) {
                $tasks[] = new Task('ready', sprintf('Take %s out of its soak at %s, then calibrate', $pair->electrode->code, SiteClock::short($status->until)), 'storage solution 3 M KCl, never distilled water', route('pairs.show', $pair), 'Look', 'idle');
            }
        }

        return $tasks;
    }
}
