<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Illuminate\Support\Collection;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Solutions\ControlBuffer;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Measurement;
use Rheacid\Models\Pair;
use Rheacid\Queries\Batches\RunningLimits;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Calibrate\CupThermometers;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\View\Figures\CheckChart;

/** What the page of check buffers shows. */
final readonly class ControlCheckScreen
{
    private const SHOWN = 40;

    /**
     * @param Collection<int, ControlCheck> $checks newest first
     * @param list<BottleLine> $bottles that were not used to calibrate
     * @param list<Cup> $cups
     * @param list<string> $standing what is in doubt about the calibration, and which check buffer settles it
     * @param Collection<int, Measurement> $doubtful the newest that a failed check has put in doubt
     */
    private function __construct(
        public Pair $pair,
        public Collection $checks,
        public array $bottles,
        public ?LiveReading $live,
        public array $cups,
        public CheckChart $chart,
        public Collection $doubtful,
        public CupThermometers $thermometers,
        public array $standing,
    ) {}

    public static function of(Pair $pair, SimulatedBench $bench): self
    {
        $pair->load([
            'meter',
            'electrode',
            'policy',
            'newestCalibration.points',
            'newestCalibration.void',
            'newestCalibration.policy',
            'newestCalibration.pair',
        ]);
        $calibration = $pair->newestCalibration;
        $checks = ControlCheck::query()
            ->with(['lot', 'person'])
            ->where('pair_id', $pair->id)
            ->orderByDesc('at')
            ->limit(self::SHOWN)
            ->get();
        $void = $calibration?->void;

        $bottles = self::independent($calibration);
        $standing = $calibration === null ? [] : CalibrationScreen::doubts($calibration);

        return new self(
            $pair,
            $checks,
            $bottles,
            self::live($pair, $bench),
            SimulatedCups::bottles(...array_map(static fn(BottleLine $bottle): int => $bottle->id, array_slice($bottles, 0, 1))),
            new CheckChart(
                array_values($checks->reverse()->map(static fn(ControlCheck $check): float => $check->error())->all()),
                $pair->policy->read_back_limit_ph,
            ),
            $void === null
                ? new Collection()
                : Measurement::query()
                    ->with(['occasion.batch', 'occasion.decision'])
                    ->where('calibration_id', $void->calibration_id)
                    ->where('observed_at', '>', $void->back_to)
                    ->orderByDesc('observed_at')
                    ->limit(self::SHOWN)
                    ->get(),
            CupThermometers::of(
                $pair,
                $bench->knows($pair->electrode) ? Source::Simulated : Source::Typed,
                $standing === [] ? [] : $calibration->points->pluck('thermometer_id')->all(),
            ),
            $standing,
        );
    }

    /** Nothing but the trace; null where nothing is read here. */
    public static function live(Pair $pair, SimulatedBench $bench): ?LiveReading
    {
        $calibration = $pair->newestCalibration;

        return $bench->knows($pair->electrode) && $calibration !== null
            ? LiveReading::of(
                $pair,
                $bench,
                $calibration->fitted(),
                Settling::WINDOW_S,
                route('checks.live', $pair),
                'pH with the present calibration',
            )
            : null;
    }

    /**
     * @param Calibration|null $calibration null before the first
     *
     * @return list<BottleLine> buffers that can serve: within what was calibrated, the nearest to a limit first
     */
    private static function independent(?Calibration $calibration): array
    {
        if ($calibration === null) {
            return [];
        }
        $used = $calibration->points->map(static fn(CalibrationPoint $point): int => $point->lot_id)->all();
        $bottles = array_column(
            array_filter(
                Lines::bottles(SolutionKind::Buffer),
                static fn(BottleLine $bottle): bool => !in_array($bottle->id, $used, true) && Bottles::objection($bottle) === null,
            ),
            null,
            'id',
        );
        uasort(
            $bottles,
            static fn(BottleLine $a, BottleLine $b): int => [$a->contents->expandedU, $a->code] <=> [$b->contents->expandedU, $b->code],
        );
        $order = ControlBuffer::among(
            array_map(static fn(BottleLine $bottle): float => (float) $bottle->contents->nominalPh, $bottles),
            $calibration->bracket_low_ph,
            $calibration->bracket_high_ph,
            RunningLimits::edges(),
        );

        return array_map(static fn(int|string $id): BottleLine => $bottles[$id], $order);
    }
}
