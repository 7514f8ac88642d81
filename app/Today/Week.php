<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Batches\Deadline;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Words\CareWords;
use Rheacid\Models\Lot;
use Rheacid\Models\Thermometer;
use Rheacid\Shelf\Cells;
use Rheacid\Shelf\Thermometers;

/** What falls due in the days ahead: calibrations, care, checks, bottles, and the deadlines of batches. */
final class Week
{
    /** @return list<DueDate> soonest first, what is overdue included */
    public static function ahead(DayPlan $plan, int $days): array
    {
        $end = CarbonImmutable::now()->addDays($days);
        $due = [...self::instruments($plan), ...self::bottles(), ...self::deadlines($plan)];
        foreach (Thermometer::query()->with(['newestVerification.outcome', 'newestService'])->get() as $thermometer) {
            if ($thermometer->newestVerification !== null && Thermometers::status($thermometer)->state !== ThermometerState::OutOfUse) {
                $due[] = new DueDate($thermometer->newestVerification->due_at, "Check thermometer $thermometer->code", route('thermometers.show', $thermometer));
            }
        }
        $due = array_filter($due, static fn(DueDate $one): bool => $one->at <= $end);
        usort($due, static fn(DueDate $a, DueDate $b): int => $a->at <=> $b->at);

        return $due;
    }

    /** @return list<DueDate> */
    private static function instruments(DayPlan $plan): array
    {
        $due = [];
        foreach ($plan->pairs() as $pair) {
            $status = $plan->status($pair);
            if ($status->state === PairState::OutOfUse) {
                continue;
            }
            if ($status->state->isInForce() && $status->until !== null) {
                $due[] = new DueDate(CarbonImmutable::instance($status->until), "Calibrate {$pair->electrode->code}", route('runs.create', $pair));
            }
            foreach (CareDue::schedule($pair) as $care) {
                $due[] = new DueDate(CarbonImmutable::instance($care['at']), CareWords::toDo($care['kind'], $pair->electrode->code), route('pairs.show', $pair));
            }
            $due[] = new DueDate(CarbonImmutable::instance(CareSchedule::replaceBy($pair->electrode->first_used_on)), "Replace {$pair->electrode->code}: a year in use", route('pairs.show', $pair));
        }
        foreach ($plan->cells() as $pair) {
            if ($pair->newestCell !== null && Cells::status($pair)->state !== PairState::OutOfUse) {
                $due[] = new DueDate($pair->newestCell->due_at, "Calibrate {$pair->electrode->code} ({$pair->electrode->measures->words()})", route('cells.show', $pair));
            }
        }

        return $due;
    }

    /** @return list<DueDate> */
    private static function bottles(): array
    {
        $due = [];
        foreach (Lot::query()->onShelf()->with('uses')->get() as $lot) {
            if (OpenRun::spent($lot) === null) {
                $due[] = new DueDate(CarbonImmutable::instance($lot->usableUntil()), "Bottle $lot->code ($lot->label) expires", route('lots.show', $lot));
            }
        }

        return $due;
    }

    /** @return list<DueDate> */
    private static function deadlines(DayPlan $plan): array
    {
        $due = [];
        foreach ($plan->batches() as $batch) {
            foreach (Deadline::of($batch) as $deadline) {
                $due[] = new DueDate($deadline->at, sprintf('%s: pH %s is due', $batch->code, $deadline->limit->toCore()->limit->written()), route('batches.show', $batch));
            }
        }

        return $due;
    }
}
