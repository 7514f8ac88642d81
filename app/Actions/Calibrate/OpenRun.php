<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\PointKind;
use Rheacid\Models\RunEvent;
use Rheacid\Models\RunState;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Calibrate\AskedBeforeRun;
use Rheacid\Queries\Measure\MeasuringChecks;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Queries\Ready\Occupancy;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Begins a calibration of a pair on chosen bottles: each is fitted once, then one is read back. */
final class OpenRun
{
    /**
     * @param non-empty-list<Lot> $lots in the order in which they will be read
     * @param Lot $readBack read after the fit: a bottle that was not fitted counts as an independent check too
     * @param string|null $reason why an electrode that is still soaking is calibrated all the same
     * @param FitMethod|null $fit as the policy says if null
     * @param BufferOrder $order free: whichever buffer the electrode is in is recognised and takes its station
     * @param string|null $answer to what is asked about this choice; kept with the run
     * @param string|null $seen what was asked on the page, where the person went on without writing why
     * @param list<array{float, float}> $expected pH that today's batches will read
     * @param Thermometer|null $thermometer that reads the buffers; null for the meter's own probe, if there is no check of it
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Pair $pair,
        array $lots,
        Lot $readBack,
        Source $source,
        ?string $reason,
        ?FitMethod $fit = null,
        BufferOrder $order = BufferOrder::NeutralFirst,
        ?string $answer = null,
        array $expected = [],
        ?string $seen = null,
        ?Thermometer $thermometer = null,
    ): CalibrationRun {
        return Recording::once($by, $form, 'open a calibration run', CalibrationRun::class, static function (Entry $entry) use (
            $by,
            $pair,
            $lots,
            $readBack,
            $source,
            $reason,
            $fit,
            $order,
            $answer,
            $expected,
            $seen,
            $thermometer,
        ): CalibrationRun {
            MeasuringChecks::ensureMeasuresPh($pair);
            foreach ([...$lots, $readBack] as $lot) {
                self::ensureUsable($lot);
            }
            self::ensureApart($lots);
            self::ensureFit($pair, $reason);
            self::ensureReads($thermometer, $pair, $source);
            $questions = AskedBeforeRun::of($pair, $lots, $readBack, $expected);
            $asked = RunQuestion::sentence($questions);
            $needsReason = array_filter($questions, static fn(RunQuestion $question): bool => $question->needsReason()) !== [];
            if ($questions !== [] && $answer === null && ($needsReason || $seen !== $asked)) {
                throw Refused::because(
                    "$asked " . ($needsReason ? 'Give a reason, or change your choice.' : 'Start anyway, or change your choice.'),
                    'answer',
                );
            }
            CloseStaleRun::ofPair($entry, $pair);
            Occupancy::ensureFree($pair->electrode);
            $run = CalibrationRun::query()->create([
                'pair_id' => $pair->id,
                'policy_id' => $pair->policy->id,
                'fit' => $fit ?? $pair->policy->fit,
                'buffer_order' => $order,
                'source' => $source,
                'thermometer_id' => $thermometer?->id,
                'stations' => [
                    ...array_map(static fn(Lot $lot): array => ['kind' => PointKind::Fit->value, 'lot_id' => $lot->id], $lots),
                    ...array_map(
                        static fn(Lot $lot): array => ['kind' => PointKind::ReadBack->value, 'lot_id' => $lot->id],
                        self::readBacks($pair, $lots, $readBack),
                    ),
                ],
                'holder_id' => $by->id,
                'opened_at' => $entry->at,
                'touched_at' => $entry->at,
                'state' => RunState::Open,
                'open_pair_id' => $pair->id,
            ]);
            $entry->add(
                new RunEvent([
                    'calibration_run_id' => $run->id,
                    'pair_id' => $run->pair_id,
                    'kind' => 'opened',
                    'person_id' => $by->id,
                    'at' => $entry->at,
                    'reason' => $reason,
                ]),
            );
            if ($questions !== []) {
                $entry->add(
                    new RunEvent([
                        'calibration_run_id' => $run->id,
                        'pair_id' => $run->pair_id,
                        'kind' => 'asked',
                        'person_id' => $by->id,
                        'at' => $entry->at,
                        'reason' => new Statement(StatementCode::Asked, [
                            'questions' => array_column($questions, 'value'),
                            'answer' => $answer,
                        ]),
                    ]),
                );
            }

            return $run;
        });
    }

    /**
     * A meter that shows only pH keeps its slope to itself: it is read back at both ends.
     *
     * @param non-empty-list<Lot> $lots
     *
     * @return list<Lot>
     */
    private static function readBacks(Pair $pair, array $lots, Lot $readBack): array
    {
        if ($pair->meter->shows_mv || count($lots) === 1) {
            return [$readBack];
        }
        usort(
            $lots,
            static fn(Lot $a, Lot $b): int => abs((float) $b->nominal_ph - (float) $readBack->nominal_ph)
                <=> abs((float) $a->nominal_ph - (float) $readBack->nominal_ph),
        );

        return [$readBack, $lots[0]];
    }

    private static function ensureUsable(Lot $lot): void
    {
        $why = Bottles::objection($lot);
        if ($why !== null && !Bottles::hasOneUseMore($lot)) {
            throw Refused::because(
                sprintf('Bottle %s (%s): %s. Choose a pH buffer that is in date with uses left.', $lot->code, $lot->label, $why),
                'lots',
            );
        }
    }

    /** What a trace says of the temperature comes from the meter's own probe. */
    private static function ensureReads(?Thermometer $thermometer, Pair $pair, Source $source): void
    {
        if ($thermometer !== null && $thermometer->meter_id !== $pair->meter_id && $source !== Source::Typed) {
            throw Refused::because(
                sprintf('These readings bring their temperature from the probe of %s. Choose that probe.', $pair->name()),
                'thermometer',
            );
        }
        if ($thermometer?->meter_id !== null && $thermometer->meter_id !== $pair->meter_id) {
            throw Refused::because(sprintf('%s is the probe of another meter.', $thermometer->code), 'thermometer');
        }
    }

    /** @param non-empty-list<Lot> $lots */
    private static function ensureApart(array $lots): void
    {
        $values = array_map(static fn(Lot $lot): float => (float) $lot->nominal_ph, $lots);
        sort($values);
        if (count($values) > CalibrationFit::MOST_POINTS) {
            throw Refused::because(sprintf('Choose at most %d buffers.', CalibrationFit::MOST_POINTS), 'lots');
        }
        for ($i = 1; $i < count($values); $i++) {
            if (!Numbers::atLeast($values[$i] - $values[$i - 1], CalibrationFit::LEAST_DISTANCE_PH)) {
                throw Refused::because(
                    sprintf(
                        'Buffers %s and %s are too close. Choose buffers about 3 pH apart.',
                        Numbers::fixed($values[$i - 1], 2),
                        Numbers::fixed($values[$i], 2),
                    ),
                    'lots',
                );
            }
        }
    }

    private static function ensureFit(Pair $pair, ?string $reason): void
    {
        $status = Readiness::of($pair);
        if ($status->state === PairState::OutOfUse || $status->state === PairState::Retired) {
            throw Refused::because(
                sprintf('This electrode is %s. Put it back into use first.', StateWords::pair($status->state, null, $status->because)),
                'pair',
            );
        }
        if ($status->state === PairState::Soaking && $status->until !== null && $reason === null) {
            throw Refused::because(
                sprintf('The electrode soaks until %s. Wait, or give a reason to calibrate now.', SiteClock::short($status->until)),
                'soak_reason',
            );
        }
    }
}
