<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Carbon\CarbonImmutable;
use Rheacid\Actions\KeepTrace;
use Rheacid\Bench\Observation;
use Rheacid\Bench\ReadingSource;
use Rheacid\Core\Celsius;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CupDoubt;
use Rheacid\Core\Electrode\CupRecognition;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Models\PointKind;
use Rheacid\Models\RunState;
use Rheacid\Models\Verification;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Calibrate\RunFits;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Takes the reading of one station of a run. With the last one the run is completed and judged. */
final readonly class AcceptPoint
{
    /**
     * @param int $station the one that was on the screen
     * @param array{slope_percent: float|null, offset_mv: float|null} $shown what a meter that shows only pH says of its own calibration
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        CalibrationRun $run,
        int $station,
        ReadingSource $source,
        PointAnswers $answers = new PointAnswers(),
        array $shown = ['slope_percent' => null, 'offset_mv' => null],
    ): CalibrationPoint {
        return Recording::once($by, $form, 'accept a calibration point', CalibrationPoint::class, function (Entry $entry) use (
            $by,
            $run,
            $station,
            $source,
            $answers,
            $shown,
        ): CalibrationPoint {
            $run = self::held(CalibrationRun::query()->lockForUpdate()->findOrFail($run->id), $by);
            if ($run->station() !== $station) {
                throw Refused::because('This point was already accepted. Go on with the next one.', 'station');
            }
            self::ensureGoesOn($run, $entry->at, $answers->gap);
            $judging = RunFits::judging($run);
            $seen = $source->observe($judging, Settling::WINDOW_S);
            $offBy = self::offBy($run, $judging);
            if ($run->buffer_order === BufferOrder::Free) {
                self::takeRecognised($run, $station, $seen, $judging, $offBy);
            }
            $plan = $run->plan()[$station];
            $lot = Lot::query()->findOrFail($plan['lot_id']);
            $isFitted = $plan['kind'] === PointKind::Fit->value;
            $cup = self::recognise($seen, $lot, $judging, $offBy, $isFitted ? RunFits::lastRuns($run, $entry->at) : [], self::sure($run));
            $seen->ensureSettled(Settling::WINDOW_S, $answers->haste);
            self::ensureExpected($cup, $lot, $answers);
            $read = Thermometers::read($run->thermometer, $seen->celsius);
            self::ensureSameTemperature($read['celsius'], $run, $answers->temperature);
            $asFound = RunFits::before($run);
            $point = new CalibrationPoint([
                'calibration_run_id' => $run->id,
                'station' => $station,
                'kind' => $plan['kind'],
                'lot_id' => $lot->id,
                'buffer_ph' => $lot->buffer()->phAt($read['celsius']),
                'mv' => $seen->signal->mv,
                'shown_ph' => $seen->signal->shownPh,
                ...$read,
                'response_time_s' => $seen->responseTimeS,
                'waited_s' => $seen->waitedS(),
                'settled' => $seen->settled,
                'moved_ph' => $seen->movedPh(),
                'stability' => $seen->stability,
                'reason' => $seen->settled ? null : $answers->haste,
                'cup_reason' => match (true) {
                    $cup->doubt === null => null,
                    $answers->isLabelChecked && $cup->doubt !== CupDoubt::Another => 'The label was checked: it is the right bottle.',
                    default => $answers->cup,
                },
                'temperature_reason' => $answers->temperature,
                'gap_reason' => $answers->gap,
                'twin' => $cup->doubt === CupDoubt::Twin ? $cup->looksLike : null,
                'twin_ph' => $cup->doubt === CupDoubt::Twin ? $cup->twinPh : null,
                'against_recognition' => $cup->doubt === CupDoubt::Another,
                'as_found_ph' => $isFitted ? $seen->signal->shownPh ?? $asFound?->tell($seen->signal, $read['celsius'])->ph : null,
                'shown_slope_percent' => $shown['slope_percent'],
                'shown_offset_mv' => $shown['offset_mv'],
                'source' => $seen->source,
                'person_id' => $by->id,
                'at' => $entry->at,
            ]);
            $point->setRelation('lot', $lot);
            $point->setRelation('verification', Verification::query()->with('outcome')->find($read['verification_id']));
            $run->load('points.verification.outcome')->setRelation('points', $run->points->push($point));
            KeepTrace::ensureNew($seen);
            $completed = $run->station() === null ? CompleteRun::decide($run, $entry->at) : null;
            $use = $seen->source === Source::Typed ? LotUses::needed($run, $lot) : [];

            $point->fill(['trace_id' => KeepTrace::of($entry, $seen)?->id]);
            $entry->add($point);
            LotUses::keep($entry, $use);
            $run->update(['touched_at' => $entry->at]);
            $completed?->keep($entry);

            return $point;
        });
    }

    /** @throws Refused if the run is closed or in other hands */
    public static function held(CalibrationRun $run, Person $by): CalibrationRun
    {
        if ($run->state !== RunState::Open) {
            throw Refused::because('This calibration has ended; nothing can be added to it.', 'run');
        }
        if ($run->holder_id !== $by->id) {
            throw Refused::because(
                sprintf(
                    '%s has been calibrating since %s. Take over with a reason to continue.',
                    $run->holder->name,
                    SiteClock::short($run->opened_at),
                ),
                'run',
            );
        }

        return $run;
    }

    /** In any order: the planned buffer that the electrode seems to stand in takes this station. */
    private static function takeRecognised(CalibrationRun $run, int $station, Observation $seen, ?CalibrationFit $last, float $offBy): void
    {
        $plan = $run->plan();
        $lots = Lot::query()->whereIn('id', array_column($plan, 'lot_id'))->get()->keyBy('id');
        $left = [];
        foreach ($plan as $i => $one) {
            $lot = $lots->get($one['lot_id']);
            if ($i >= $station && $one['kind'] === PointKind::Fit->value && $lot !== null) {
                $left[$i] = $lot->buffer();
            }
        }
        $found = CupRecognition::station($left, $seen->signal, $seen->celsius, $last, $offBy);
        if ($found !== null && $found !== $station) {
            [$plan[$station], $plan[$found]] = [$plan[$found], $plan[$station]];
            $run->update(['stations' => $plan]);
        }
    }

    /** @param list<CalibrationFit> $lastRuns */
    private static function recognise(
        Observation $seen,
        Lot $expected,
        ?CalibrationFit $last,
        float $offBy,
        array $lastRuns,
        ?CalibrationPoint $sure,
    ): CupRecognition {
        $shelf = [];
        foreach (Lines::bottles(SolutionKind::Buffer) as $line) {
            if ($line->contents->buffer !== null && $line->contents->nominalPh !== null && BufferTables::knows($line->contents->buffer)) {
                $shelf[$line->label] = ['buffer' => Buffer::named($line->contents->buffer), 'nominalPh' => $line->contents->nominalPh];
            }
        }

        return CupRecognition::of(
            $expected->buffer(),
            (float) $expected->nominal_ph,
            $shelf,
            $seen->signal,
            $seen->celsius,
            $last,
            $offBy,
            $lastRuns,
            $sure?->toCore(),
        );
    }

    /** The last point of which nobody doubts the cup. */
    private static function sure(CalibrationRun $run): ?CalibrationPoint
    {
        return $run->points->last(static fn(CalibrationPoint $point): bool => !$point->against_recognition && $point->twin === null);
    }

    /** The offset of the point just accepted: a poisoned reference moves every buffer alike. */
    private static function offBy(CalibrationRun $run, ?CalibrationFit $last): float
    {
        $before = self::sure($run);

        return $before === null ? 0.0 : CupRecognition::offBy($before->signal(), $before->celsius, $before->buffer_ph, $last);
    }

    /** @throws Refused where the run was left before its second point, or for long before this one */
    private static function ensureGoesOn(CalibrationRun $run, CarbonImmutable $now, ?string $answer): void
    {
        if ($run->isStale()) {
            throw Refused::because(
                sprintf(
                    'This calibration was left for %s before its second point, so it has ended. Start again with the first buffer.',
                    SamplingWords::span($run->secondsLeft() / 3600),
                ),
                'run',
            );
        }
        $last = $run->points->last();
        $seconds = $last === null || $run->source === Source::Imported ? 0.0 : $last->at->diffInMilliseconds($now) / 1000;
        if (RunDoubts::isApart($seconds) && $answer === null) {
            throw Refused::because(
                sprintf(
                    'The previous point was accepted %s ago. Start again, or say why you go on: critical limits then need a check buffer.',
                    SamplingWords::span($seconds / 3600),
                ),
                'gap_reason',
            );
        }
    }

    /** @throws Refused where this buffer is warmer or colder than those before */
    private static function ensureSameTemperature(float $celsius, CalibrationRun $run, ?string $answer): void
    {
        $before = array_values($run->points->map(static fn(CalibrationPoint $point): float => $point->celsius)->all());
        if ($answer === null && RunQuestion::asksTemperature($celsius, $before)) {
            throw Refused::because(
                sprintf(
                    'This buffer is at %s, the previous one was at %s; they should be within %s. Let it reach the same temperature, or say '
                        . 'why it differs.',
                    Celsius::at($celsius, 1),
                    Celsius::at($before[count($before) - 1], 1),
                    Celsius::by(2),
                ),
                'temperature_reason',
            );
        }
    }

    /** @throws Refused where the right buffer is in doubt */
    private static function ensureExpected(CupRecognition $cup, Lot $expected, PointAnswers $answers): void
    {
        $apparent = Numbers::fixed($cup->apparentPh, 2);
        if ($cup->doubt !== null && $answers->cup === null && !($answers->isLabelChecked && $cup->doubt !== CupDoubt::Another)) {
            throw Refused::because(
                match ($cup->doubt) {
                    CupDoubt::NoBuffer => sprintf(
                        'This reads like pH %s, which is none of your buffers; %s is expected. Check the cup and the electrode. If the '
                            . 'label is right, say so.',
                        $apparent,
                        $expected->label,
                    ),
                    CupDoubt::Distance => sprintf(
                        'This reads like pH %s; %s is expected. Check the bottle. If the label is right, say so.',
                        $apparent,
                        $expected->label,
                    ),
                    CupDoubt::Neighbour => sprintf(
                        'This reads like pH %s, closer to %s than to %s. Check the label. If it is the right bottle, say so.',
                        $apparent,
                        $cup->looksLike,
                        $expected->label,
                    ),
                    CupDoubt::Another => sprintf(
                        'This reads like %s (pH %s), but %s is expected. Move the electrode to the right cup, or say why this is the right '
                            . 'one.',
                        $cup->looksLike,
                        $apparent,
                        $expected->label,
                    ),
                    CupDoubt::Twin => sprintf(
                        'By the last runs of this electrode, this is %s rather than %s. Look at the label. If you confirm it, critical '
                            . 'limits need a check buffer of the other family.',
                        $cup->looksLike,
                        $expected->label,
                    ),
                },
                $cup->doubt === CupDoubt::Another ? 'cup_reason' : 'label',
            );
        }
    }
}
