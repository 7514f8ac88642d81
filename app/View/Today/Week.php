<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Urgency\DeadlineWarning;
use Rheacid\Core\Words\CareWords;
use Rheacid\Queries\Board\Lines;

/** What falls due in the days ahead: calibrations, care, checks, bottles, and the deadlines of batches. */
final class Week
{
    /** @return list<DueDate> soonest first, what is overdue included */
    public static function ahead(DayPlan $plan, int $days): array
    {
        $end = CarbonImmutable::now()->addDays($days);
        $due = [...self::instruments($plan), ...self::bottles(), ...self::deadlines($plan)];
        foreach ($plan->thermometers() as $thermometer) {
            if ($thermometer->dueAt !== null) {
                $due[] = new DueDate(
                    $thermometer->dueAt,
                    "Check thermometer $thermometer->code",
                    route('thermometers.show', $thermometer->id),
                    isDay: true,
                );
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
            $status = $pair->status();
            if ($status->state === PairState::OutOfUse) {
                continue;
            }
            if ($status->state->isInForce() && $status->until !== null) {
                $due[] = new DueDate(CarbonImmutable::instance($status->until), "Calibrate $pair->code", route('runs.create', $pair->id));
            }
            foreach (InstrumentTasks::schedule($pair) as $care) {
                $due[] = new DueDate($care['at'], CareWords::toDo($care['kind'], $pair->code), route('pairs.show', $pair->id));
            }
            $due[] = new DueDate(
                CarbonImmutable::instance(CareSchedule::replaceBy($pair->care->firstUsed)),
                "Replace $pair->code: one year in use",
                route('pairs.show', $pair->id),
                isDay: true,
            );
        }
        foreach ($plan->cells() as $pair) {
            if ($pair->calibration->dueAt !== null && $pair->status()->state !== PairState::OutOfUse) {
                $due[] = new DueDate(
                    $pair->calibration->dueAt,
                    "Calibrate $pair->code ({$pair->state?->words()})",
                    route('cells.show', $pair->id),
                );
            }
        }

        return $due;
    }

    /** @return list<DueDate> */
    private static function bottles(): array
    {
        $due = [];
        foreach (Lines::bottles() as $bottle) {
            $status = $bottle->status();
            if ($status->spent === null) {
                $due[] = new DueDate(
                    CarbonImmutable::parse($status->usableUntil, 'UTC'),
                    "Bottle $bottle->code ($bottle->label) expires",
                    route('lots.show', $bottle->id),
                    isDay: true,
                );
            }
        }

        return $due;
    }

    /** @return list<DueDate> */
    private static function deadlines(DayPlan $plan): array
    {
        $due = [];
        foreach ($plan->batches() as $batch) {
            foreach ($batch->due->deadlines() as $deadline) {
                if (!$deadline->isMet) {
                    $due[] = new DueDate(
                        $deadline->at,
                        "$batch->code: $deadline->written is due",
                        route('batches.show', $batch->id),
                        warnHours: DeadlineWarning::leadHours($deadline->hours),
                        note: in_array(DeadlineWarning::AtRisk, $deadline->warnings(CarbonImmutable::now()), true)
                            ? 'at risk at the last reading'
                            : null,
                    );
                }
            }
        }

        return $due;
    }
}
