<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Actions\Bench\MoveElectrode;
use Rheacid\Actions\KeepTrace;
use Rheacid\Bench\Observation;
use Rheacid\Bench\ReadingSource;
use Rheacid\Bench\Source;
use Rheacid\Board\Lines;
use Rheacid\Core\Celsius;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CupDoubt;
use Rheacid\Core\Electrode\CupRecognition;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Models\PointKind;
use Rheacid\Models\RunState;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Shelf\Fits;
use Rheacid\SiteClock;

/** Takes the reading of one station of a run. With the last one the run is completed and judged. */
final readonly class AcceptPoint
{
    public function __construct(private CompleteRun $complete) {}

    /**
     * @param int $station the one that was on the screen
     * @param string|null $reason why a reading is taken that has not settled, or that looks like another buffer
     * @param array{slope_percent: float|null, offset_mv: float|null} $shown what a meter that shows only pH says of its own calibration
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, CalibrationRun $run, int $station, ReadingSource $source, ?string $reason, array $shown = ['slope_percent' => null, 'offset_mv' => null]): CalibrationPoint
    {
        return Recording::once($by, $form, 'accept a calibration point', CalibrationPoint::class, function (Entry $entry) use ($by, $run, $station, $source, $reason, $shown): CalibrationPoint {
            $run = self::held(CalibrationRun::query()->lockForUpdate()->findOrFail($run->id), $by);
            if ($run->station() !== $station) {
                throw Refused::because('This point was already accepted. Go on with the next one.', 'station');
            }
            $judging = Fits::judging($run);
            $seen = $source->observe($judging, Settling::WINDOW_S);
            $offBy = self::offBy($run, $judging);
            if ($run->buffer_order === BufferOrder::Free) {
                self::takeRecognised($run, $station, $seen, $judging, $offBy);
            }
            $plan = $run->plan()[$station];
            $lot = Lot::query()->findOrFail($plan['lot_id']);
            $cup = self::recognise($seen, $lot, $judging, $offBy);
            if ($reason === null) {
                $seen->ensureSettled(Settling::WINDOW_S, null);
                self::ensureExpected($cup, $lot);
                self::ensureSameTemperature($seen, $run);
            }
            $asFound = Fits::before($run);
            $point = $entry->add(new CalibrationPoint([
                'calibration_run_id' => $run->id,
                'station' => $station,
                'kind' => $plan['kind'],
                'lot_id' => $lot->id,
                'buffer_ph' => $lot->buffer()->phAt($seen->celsius),
                'mv' => $seen->signal->mv,
                'shown_ph' => $seen->signal->shownPh,
                'celsius' => $seen->celsius,
                'response_time_s' => $seen->responseTimeS,
                'waited_s' => $seen->waitedS(),
                'settled' => $seen->settled,
                'moved_ph' => $seen->movedPh(),
                'reason' => $reason,
                'against_recognition' => $cup->doubt === CupDoubt::Another,
                'as_found_ph' => $plan['kind'] === PointKind::Fit->value ? $seen->signal->shownPh ?? $asFound?->tell($seen->signal, $seen->celsius)->ph : null,
                'shown_slope_percent' => $shown['slope_percent'],
                'shown_offset_mv' => $shown['offset_mv'],
                'trace_id' => KeepTrace::of($entry, $seen)?->id,
                'source' => $seen->source,
                'person_id' => $by->id,
                'at' => $entry->at,
            ]));
            if ($seen->source === Source::Typed) {
                MoveElectrode::useLot($entry, $run, $lot->id);
            }
            $run->update(['touched_at' => $entry->at]);
            $run->load('points');
            if ($run->station() === null) {
                ($this->complete)($entry, $run);
            }

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
            throw Refused::because(sprintf('%s has been calibrating since %s. Take over with a reason to continue.', $run->holder->name, SiteClock::short($run->opened_at)), 'run');
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

    private static function recognise(Observation $seen, Lot $expected, ?CalibrationFit $last, float $offBy): CupRecognition
    {
        $shelf = [];
        foreach (Lines::bottles(SolutionKind::Buffer) as $line) {
            if ($line->buffer !== null && $line->nominalPh !== null && BufferTables::knows($line->buffer)) {
                $shelf[$line->label] = ['buffer' => Buffer::named($line->buffer), 'nominalPh' => $line->nominalPh];
            }
        }

        return CupRecognition::of($expected->buffer(), (float) $expected->nominal_ph, $shelf, $seen->signal, $seen->celsius, $last, $offBy);
    }

    /** The offset of the point just accepted: a poisoned reference moves every buffer alike. */
    private static function offBy(CalibrationRun $run, ?CalibrationFit $last): float
    {
        $before = $run->points->last(static fn(CalibrationPoint $point): bool => !$point->against_recognition);

        return $before === null ? 0.0 : CupRecognition::offBy($before->signal(), $before->celsius, $before->buffer_ph, $last);
    }

    /** @throws Refused where this buffer is warmer or colder than those before */
    private static function ensureSameTemperature(Observation $seen, CalibrationRun $run): void
    {
        $before = array_values($run->points->map(static fn(CalibrationPoint $point): float => $point->celsius)->all());
        if (RunQuestion::asksTemperature($seen->celsius, $before)) {
            throw Refused::because(sprintf('This buffer is at %s, the previous one was at %s; they should be within %s. Let it reach the same temperature, or accept with a reason.', Celsius::at($seen->celsius, 1), Celsius::at($before[count($before) - 1], 1), Celsius::by(2)), 'reason');
        }
    }

    /** @throws Refused where the right buffer is in doubt */
    private static function ensureExpected(CupRecognition $cup, Lot $expected): void
    {
        $apparent = Numbers::fixed($cup->apparentPh, 2);
        if ($cup->doubt !== null) {
            throw Refused::because(match ($cup->doubt) {
                CupDoubt::NoBuffer => sprintf('This reads like pH %s, which is none of your buffers; %s is expected. Check the cup and the electrode, or accept with a reason.', $apparent, $expected->label),
                CupDoubt::Distance => sprintf('This reads like pH %s; %s is expected. Check the bottle, and accept with a reason if it is right.', $apparent, $expected->label),
                CupDoubt::Neighbour => sprintf('This reads like pH %s, closer to %s than to %s. Check the label, and accept if it is the right bottle.', $apparent, $cup->looksLike, $expected->label),
                CupDoubt::Another => sprintf('This reads like %s (pH %s), but %s is expected. Move the electrode to the right cup, or accept with a reason.', $cup->looksLike, $apparent, $expected->label),
            }, 'reason');
        }
    }
}
