<?php

declare(strict_types=1);

namespace Rheacid\View;

use Illuminate\Support\Collection;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Settling\Settling;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Measurement;
use Rheacid\View\Figures\CheckChart;

/** What the page of check buffers shows. */
final readonly class ControlCheckScreen
{
    /**
     * @param Collection<int, ControlCheck> $checks newest first
     * @param list<Lot> $lots bottles that were not used to calibrate
     * @param list<Cup> $cups
     * @param Collection<int, Measurement> $doubtful readings that a failed check has put in doubt
     */
    private function __construct(
        public Pair $pair,
        public Collection $checks,
        public array $lots,
        public ?LiveReading $live,
        public array $cups,
        public CheckChart $chart,
        public Collection $doubtful,
    ) {}

    public static function of(Pair $pair, SimulatedBench $bench): self
    {
        $pair->load(['meter', 'electrode', 'policy', 'newestCalibration.points', 'newestCalibration.void']);
        $calibration = $pair->newestCalibration;
        $checks = ControlCheck::query()->with(['lot', 'person'])->where('pair_id', $pair->id)->orderByDesc('at')->limit(40)->get();
        $used = $calibration === null ? [] : $calibration->points->map(static fn(CalibrationPoint $point): int => $point->lot_id)->all();
        $void = $calibration?->void;

        return new self(
            $pair,
            $checks,
            array_values(Lot::query()->onShelf()->with('uses')->where('kind', 'buffer')->whereNotIn('id', $used)->orderBy('nominal_ph')->orderBy('code')->get()
                ->filter(static fn(Lot $lot): bool => OpenRun::objection($lot) === null)->all()),
            $bench->knows($pair->electrode) && $calibration !== null
                ? LiveReading::of($pair, $bench, $calibration->fitted(), Settling::WINDOW_S, route('checks.live', $pair), 'pH by the calibration in force')
                : null,
            array_values(array_filter($bench->cups(), static fn(Cup $cup): bool => $cup->batchId === null)),
            new CheckChart(array_values($checks->reverse()->map(static fn(ControlCheck $check): float => $check->error())->all()), $pair->policy->read_back_limit_ph),
            $void === null ? new Collection() : Measurement::query()->with(['sample.batch', 'decision'])->where('calibration_id', $void->calibration_id)->where('observed_at', '>', $void->back_to)->orderBy('observed_at')->get(),
        );
    }
}
