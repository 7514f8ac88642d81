<?php

declare(strict_types=1);

namespace Rheacid\View\Ready;

use Rheacid\Core\Electrode\ElectrodeTrend;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\Pair;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Ready\ElectrodeHistory;
use Rheacid\View\Figures\HistoryChart;
use Rheacid\View\Today\DayPlan;

/** Electrodes side by side. */
final readonly class CompareScreen
{
    /** A figure of more lines cannot be read. */
    private const MOST = 12;

    /** @param list<array{pair: PairLine, trend: ElectrodeTrend|null, last: float|null}> $rows */
    private function __construct(public array $rows, public HistoryChart $chart) {}

    public static function of(DayPlan $plan): self
    {
        $rows = [];
        $series = [];
        $policy = null;
        foreach (array_slice($plan->pairs(), 0, self::MOST) as $line) {
            $pair = Pair::query()->with('policy')->findOrFail($line->id);
            $policy ??= $pair->policy;
            $health = ElectrodeHistory::of($pair);
            $points = HealthScreen::series(
                $health->calibrations->filter(
                    static fn(Calibration $calibration): bool => $calibration->verdict !== Verdict::Fail && $calibration->void === null,
                ),
                'slope_percent',
            );
            $rows[] = ['pair' => $line, 'trend' => $health->trend, 'last' => $points === [] ? null : $points[count($points) - 1][1]];
            $series += $points === [] ? [] : [$line->code => $points];
        }

        return new self(
            $rows,
            new HistoryChart('Slope, % of the ideal', $series, $policy?->slope_low_percent, $policy?->slope_high_percent),
        );
    }
}
