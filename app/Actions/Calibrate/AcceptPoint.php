<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Actions\Bench\MoveElectrode;
use Rheacid\Actions\KeepTrace;
use Rheacid\Bench\Observation;
use Rheacid\Bench\ReadingSource;
use Rheacid\Bench\Source;
use Rheacid\Core\Electrode\BufferRecognition;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Models\RunState;
use Rheacid\SiteClock;
use Rheacid\Records\Entry;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Shelf\Fits;

/** Takes the reading of one station of a run. With the last one the run is completed and judged. */
final readonly class AcceptPoint
{
    /** Buffers nearer than this to the expected one cannot be told apart by their potential. */
    private const TELLABLE_PH = 0.5;

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
                throw Refused::because('This station has its point already; the run has gone on.', 'station');
            }
            $judging = Fits::judging($run);
            $seen = $source->observe($judging, Settling::WINDOW_S);
            if ($run->buffer_order === BufferOrder::Free) {
                self::takeRecognised($run, $station, $seen, $judging);
            }
            $plan = $run->plan()[$station];
            $lot = Lot::query()->with('uses')->findOrFail($plan['lot_id']);
            if ($reason === null) {
                $seen->ensureSettled(Settling::WINDOW_S, null);
                self::ensureExpected($seen, $lot, $judging);
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
                'reason' => $reason,
                'as_found_ph' => $plan['kind'] === 'fit' ? $seen->signal->shownPh ?? $asFound?->tell($seen->signal, $seen->celsius)->ph : null,
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
            throw Refused::because('This run is closed; nothing can be added to it.', 'run');
        }
        if ($run->holder_id !== $by->id) {
            throw Refused::because(sprintf('%s holds this run since %s. Take it over with a reason to go on.', $run->holder->name, SiteClock::short($run->opened_at)), 'run');
        }

        return $run;
    }

    /** In any order: the planned buffer that the electrode seems to stand in takes this station. */
    private static function takeRecognised(CalibrationRun $run, int $station, Observation $seen, ?CalibrationFit $last): void
    {
        $plan = $run->plan();
        $lots = Lot::query()->whereIn('id', array_column($plan, 'lot_id'))->get()->keyBy('id');
        $candidates = [];
        foreach ($plan as $i => $one) {
            $buffer = $lots->get($one['lot_id'])?->buffer();
            if ($i >= $station && $one['kind'] === 'fit' && $buffer?->covers($seen->celsius) === true) {
                $candidates[$i] = $buffer;
            }
        }
        $found = $candidates === [] ? null : BufferRecognition::among($candidates, $seen->signal->idealMv($seen->celsius), $seen->celsius, $last)->recognised;
        if (is_numeric($found) && (int) $found !== $station) {
            [$plan[$station], $plan[(int) $found]] = [$plan[(int) $found], $plan[$station]];
            $run->update(['stations' => $plan]);
        }
    }

    /** A bottle confirms itself, so what stands in the cup is told from the potential and compared with the plan. */
    private static function ensureExpected(Observation $seen, Lot $expected, ?CalibrationFit $last): void
    {
        $shelf = Lot::query()->onShelf()->where('kind', 'buffer')->orderBy('code')->get();
        $candidates = ['expected' => $expected->buffer()];
        foreach ($shelf as $lot) {
            if (abs((float) $lot->nominal_ph - (float) $expected->nominal_ph) >= self::TELLABLE_PH && $lot->buffer()->covers($seen->celsius)) {
                $candidates[$lot->label] = $lot->buffer();
            }
        }
        $recognition = BufferRecognition::among($candidates, $seen->signal->idealMv($seen->celsius), $seen->celsius, $last);
        if ($recognition->recognised === 'expected') {
            return;
        }
        $apparent = Numbers::fixed($recognition->apparentPh, 2);
        $nearest = $recognition->matches[0];
        throw Refused::because(match (true) {
            abs($nearest['difference_ph']) > 0.5 => sprintf('This reads like pH %s, which is no buffer on the shelf; %s is expected. Check the cup and the electrode, or accept with a reason.', $apparent, $expected->label),
            $nearest['buffer'] === 'expected' => sprintf('This reads like pH %s; %s is expected, but the distance leaves a doubt. Check the bottle; accept with a reason if it is right.', $apparent, $expected->label),
            default => sprintf('This reads like %s (pH %s), but %s is expected. Move the electrode to the right cup, or accept with a reason.', $nearest['buffer'], $apparent, $expected->label),
        }, 'reason');
    }
}
