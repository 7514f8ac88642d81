<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\Priority;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\CareWords;
use Rheacid\Core\Words\DiagnosisWords;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Site\SiteClock;

/** What electrodes, sensors and thermometers ask for. */
final class InstrumentTasks
{
    /** @return list<Task> */
    public static function toCalibrate(DayPlan $plan): array
    {
        $tasks = [];
        $priority = Priority::ofCalibrating($plan->readyPair() !== null);
        foreach ($plan->pairs() as $pair) {
            $status = $pair->status();
            $waits
                = $status->state->isInForce()
                || in_array($status->state, [PairState::Soaking, PairState::OutOfUse, PairState::Retired], true);
            if (!$waits && $pair->calibration->nextStep === null && !self::isInRun($plan, $pair)) {
                $tasks[] = new Task(
                    $priority,
                    'calibrate',
                    "Calibrate $pair->code on $pair->name",
                    Readiness::words($status) . self::freshBuffers($pair),
                    route('runs.create', $pair->id),
                    'Calibrate',
                    $status->state === PairState::Failed ? 'fail' : 'care',
                );
            }
        }

        return $tasks;
    }

    /** @return list<Task> what the last calibrations called for */
    public static function followUps(DayPlan $plan): array
    {
        return array_values(
            array_filter(
                array_map(
                    static fn(PairLine $pair): ?Task => $pair->status()->state === PairState::Soaking ? null : self::followUp($pair),
                    $plan->pairs(),
                ),
            ),
        );
    }

    /** @return list<Task> regular care that is due by the end of the day, and the electrode that should be ordered */
    public static function care(DayPlan $plan): array
    {
        $tasks = [];
        $endOfDay = SiteClock::endOfDay(CarbonImmutable::now());
        foreach ($plan->pairs() as $pair) {
            if (in_array($pair->status()->state, [PairState::Soaking, PairState::OutOfUse], true)) {
                continue;
            }
            foreach (self::schedule($pair) as $due) {
                if ($due['at'] <= $endOfDay) {
                    $tasks[] = new Task(
                        Priority::Care,
                        'ready',
                        CareWords::toDo($due['kind'], $pair->code),
                        sprintf('due since %s · %s', SiteClock::day($due['at']), CareWords::how($due['kind'], $pair->kind) ?? ''),
                        route('care.store', $pair->id),
                        CareWords::oneTap($due['kind']),
                        'idle',
                        act: self::act($due['kind']),
                    );
                }
            }
            array_push($tasks, ...array_filter([self::order($pair)]));
        }

        return $tasks;
    }

    /** The usual of its kind, as the care log takes it. */
    private static function act(CareKind $kind): string
    {
        return match ($kind) {
            CareKind::Cleaned => $kind->value . ' ' . Dirt::General->value,
            CareKind::Soak => $kind->value . ' ' . SoakSchool::Usual->value,
            default => $kind->value,
        };
    }

    /** @return list<array{kind: CareKind, at: CarbonImmutable}> soonest first */
    public static function schedule(PairLine $pair): array
    {
        $due = [];
        foreach ($pair->care->due as $kind => $at) {
            $due[] = ['kind' => CareKind::from($kind), 'at' => CarbonImmutable::parse($at)];
        }
        usort($due, static fn(array $a, array $b): int => $a['at'] <=> $b['at']);

        return $due;
    }

    /** @return list<Task> */
    public static function cells(DayPlan $plan): array
    {
        $tasks = [];
        foreach ($plan->cells() as $pair) {
            $status = $pair->status();
            if (
                !$status->state->isInForce()
                && !in_array($status->state, [PairState::Soaking, PairState::OutOfUse, PairState::Retired], true)
            ) {
                $tasks[] = new Task(
                    Priority::Cell,
                    'calibrate',
                    sprintf('Calibrate %s (%s)', $pair->code, $pair->state?->words()),
                    Readiness::words($status),
                    route('cells.show', $pair->id),
                    'Calibrate',
                    'care',
                );
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    public static function toCheck(DayPlan $plan): array
    {
        return array_map(static function (ThermometerLine $thermometer): Task {
            $status = $thermometer->status();

            return new Task(
                Priority::Verify,
                'verify',
                "Check $thermometer->code, $thermometer->name",
                Thermometers::words($status),
                route('verify.show', $thermometer->id),
                'Verify',
                $status->state === ThermometerState::Failed ? 'fail' : 'care',
            );
        }, $plan->thermometersDue());
    }

    /** @return list<Task> */
    public static function soaks(DayPlan $plan): array
    {
        $tasks = [];
        foreach ($plan->pairs() as $pair) {
            $status = $pair->status();
            if ($status->state === PairState::Soaking && $status->until !== null) {
                $tasks[] = new Task(
                    Priority::Soak,
                    'ready',
                    sprintf('Take %s out of the soak at %s, then calibrate', $pair->code, SiteClock::short($status->until)),
                    'storage solution: 3 M KCl, never distilled water',
                    route('pairs.show', $pair->id),
                    'Look',
                    'idle',
                );
            }
        }

        return $tasks;
    }

    private static function isInRun(DayPlan $plan, PairLine $pair): bool
    {
        return in_array($pair->id, $plan->pairsInRun(), true);
    }

    private static function freshBuffers(PairLine $pair): string
    {
        return in_array(CareStep::FreshBuffers, $pair->followUp(), true) ? ' · take fresh buffers' : '';
    }

    private static function followUp(PairLine $pair): ?Task
    {
        $step = $pair->calibration->nextStep;
        if ($step === null || $pair->calibration->diagnosis === null) {
            return null;
        }
        $all = $pair->followUp();
        $after = array_slice($all, (int) array_search($step, $all, true) + 1);
        $then = $after === [] ? '' : ' Then ' . implode(', then ', array_map(CareWords::step(...), $after)) . '.';
        $isReplaced = $step === CareStep::Replace;

        return new Task(
            Priority::FollowUp,
            'ready',
            sprintf('%s: %s', $pair->code, CareWords::step($step)),
            DiagnosisWords::likely($pair->calibration->diagnosis, $pair->kind, $pair->calibration->alsoDiagnosed) . $then,
            $isReplaced ? route('pairing') : route('pairs.show', $pair->id),
            $isReplaced ? 'Pair a new electrode' : 'Log it',
            'care',
        );
    }

    private static function order(PairLine $pair): ?Task
    {
        $leaves = $pair->trend->leavesPolicyOn;
        if ($leaves !== null && CareSchedule::isForeseen(new \DateTimeImmutable($leaves), CarbonImmutable::now())) {
            return new Task(
                Priority::Care,
                'ready',
                "Order a replacement for $pair->code",
                sprintf(
                    'the slope is expected to fall below the policy on %s (below %s %%)',
                    SiteClock::day(CarbonImmutable::parse($leaves)),
                    Numbers::plain($pair->trend->lowest),
                ),
                route('pairs.show', $pair->id),
                'Look',
                'care',
            );
        }

        return CareSchedule::isOrderedBy($pair->care->firstUsed, CarbonImmutable::now())
            ? new Task(
                Priority::Care,
                'ready',
                "Order a replacement for $pair->code",
                sprintf('in use since %s; electrodes usually last about a year', SiteClock::day($pair->care->firstUsed)),
                route('pairs.show', $pair->id),
                'Look',
                'idle',
            )
            : null;
    }
}
