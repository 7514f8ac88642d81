<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\PointKind;
use Rheacid\Models\RunState;
use Rheacid\Queries\Calibrate\RunFits;

/** What the page of a running calibration shows. */
final readonly class RunScreen
{
    /**
     * @param list<array{name: string, detail: string, state: string}> $stations
     * @param list<Cup> $cups
     */
    private function __construct(
        public CalibrationRun $run,
        public array $stations,
        public int $station,
        public bool $isReadBack,
        public Lot $lot,
        public ?LiveReading $live,
        public array $cups,
        public string $bufferNow,
        public ?CalibrationPoint $lastPoint,
        public bool $isFree,
        public ?string $left,
    ) {}

    public static function of(CalibrationRun $run, SimulatedBench $bench): self
    {
        $run->load(['points.lot', 'thermometer', 'pair.meter', 'pair.electrode', 'pair.newestCalibration', 'holder']);
        $lots = Lot::query()->with('uses')->whereIn('id', array_column($run->plan(), 'lot_id'))->get()->keyBy('id');
        $station = $run->station() ?? count($run->plan()) - 1;
        $plan = $run->plan()[$station];
        $lot = $lots->get($plan['lot_id']) ?? throw new \LogicException('A planned bottle is always on the shelf.');
        $judging = RunFits::judging($run);
        $new = RunFits::new($run);
        $live = self::trace($run, $bench, $judging, $new !== null);

        return new self(
            $run,
            self::stations($run, $lots->all(), $station),
            $station,
            $plan['kind'] === PointKind::ReadBack->value,
            $lot,
            $live,
            $run->source === Source::Simulated
                ? SimulatedCups::bottles($lot->id, ...array_values(array_diff(array_column($run->plan(), 'lot_id'), [$lot->id])))
                : [],
            self::bufferNow($lot, $live),
            $run->points->last(),
            $run->buffer_order === BufferOrder::Free && $plan['kind'] === PointKind::Fit->value,
            RunDoubts::isApart($run->secondsLeft()) ? SamplingWords::span($run->secondsLeft() / 3600) : null,
        );
    }

    /** What it means that nobody went on for so long. */
    public function leftWords(): string
    {
        return match (true) {
            $this->run->isStale() => 'It ends without a verdict, because its second point is missing. Start again with the first buffer.',
            $this->run->points->count() < 2 => 'Accept the next point now, or start again.',
            default => 'Start again, or go on with a reason: critical limits then need a check buffer.',
        };
    }

    /** Nothing but the trace; null where nothing is read here. */
    public static function live(CalibrationRun $run, SimulatedBench $bench): ?LiveReading
    {
        return $run->state === RunState::Open ? self::trace($run, $bench, RunFits::judging($run), RunFits::new($run) !== null) : null;
    }

    private static function trace(CalibrationRun $run, SimulatedBench $bench, ?CalibrationFit $judging, bool $isNew): ?LiveReading
    {
        $judgedBy = match (true) {
            $isNew => 'pH with the new calibration',
            $judging !== null => 'pH with the previous calibration',
            default => 'pH of an ideal electrode',
        };

        return $run->source === Source::Simulated
            ? LiveReading::of($run->pair, $bench, $judging, Settling::WINDOW_S, route('runs.live', $run), $judgedBy)
            : null;
    }

    /**
     * @param array<array-key, Lot> $lots by id
     *
     * @return list<array{name: string, detail: string, state: string}>
     */
    private static function stations(CalibrationRun $run, array $lots, int $now): array
    {
        $stations = [];
        foreach ($run->plan() as $i => $plan) {
            $point = $run->points->first(static fn(CalibrationPoint $point): bool => $point->station === $i);
            $nominal = Numbers::fixed((float) $lots[$plan['lot_id']]->nominal_ph, 2);
            $stations[] = [
                'name' => $plan['kind'] === PointKind::Fit->value ? $nominal : 'Read back',
                'detail' => match (true) {
                    $point !== null => implode(
                        ' · ',
                        array_filter([
                            $point->settled ? StateWords::settled($point->response_time_s) : 'accepted before it was stable',
                            $point->as_found_ph === null ? null : 'as found ' . Numbers::fixed($point->as_found_ph, 2),
                        ]),
                    ),
                    $plan['kind'] === PointKind::Fit->value => $i === $now ? 'now' : '',
                    default => "in $nominal",
                },
                'state' => $point !== null ? 'done' : ($i === $now ? 'now' : 'waits'),
            ];
        }
        $stations[] = ['name' => 'Verdict', 'detail' => '', 'state' => 'waits'];

        return $stations;
    }

    /** The buffer's value at the temperature shown, or at 25 °C before there is one. */
    private static function bufferNow(Lot $lot, ?LiveReading $live): string
    {
        try {
            return Numbers::fixed($lot->buffer()->phAt($live?->figure === null ? 25.0 : $live->celsius), 2);
        } catch (BeyondRange) {
            return 'not known';
        }
    }
}
