<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Numbers;
use Rheacid\Core\Thermometry\VerifiedRange;
use Rheacid\Models\Calibration;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Shelf\Cells;
use Rheacid\Shelf\Cleaning;
use Rheacid\Shelf\Health;
use Rheacid\Today\DayPlan;
use Rheacid\View\Figures\HistoryChart;
use Rheacid\View\HealthScreen;
use Rheacid\View\VerificationScreen;

/** The shelf: what is fit for use, and the history of each thing. */
final class ShelfController
{
    public function index(DayPlan $plan): View
    {
        $together = Pair::query()->together()->pluck('electrode_id');

        return view('ready.index', [
            'plan' => $plan,
            'slopes' => self::slopes($plan),
            'alone' => Electrode::query()->with('careEvents')->whereNotIn('id', $together)->orderBy('code')->get(),
            'lots' => Lot::query()->onShelf()->with('uses')->orderBy('kind')->orderBy('nominal_ph')->orderBy('code')->get(),
            'thermometers' => Thermometer::query()->with(['newestVerification.outcome', 'newestService'])->orderBy('code')->get(),
        ]);
    }

    public function pair(Pair $pair, DayPlan $plan): View
    {
        $pair->load(['electrode.careEvents.person', 'meter', 'policy', 'parting.person', 'calibrations.person', 'calibrations.void', 'newestCalibration']);

        return view('ready.pair', [
            'pair' => $pair,
            'status' => $pair->electrode->measures === Measures::Ph ? $plan->status($pair) : Cells::status($pair),
            'health' => HealthScreen::of($pair),
            'cleaning' => Cleaning::last($pair),
            'before' => Pair::query()->with('meter')->where('electrode_id', $pair->electrode_id)->whereKeyNot($pair->id)->orderByDesc('id')->get(),
        ]);
    }

    public function compare(DayPlan $plan): View
    {
        $rows = [];
        $series = [];
        foreach ($plan->pairs() as $pair) {
            $health = Health::of($pair);
            $points = HealthScreen::series($health->calibrations->filter(static fn(Calibration $calibration): bool => $calibration->verdict !== Verdict::Fail && $calibration->void === null), 'slope_percent');
            $rows[] = ['pair' => $pair, 'trend' => $health->trend, 'last' => $points === [] ? null : $points[count($points) - 1][1]];
            $series += $points === [] ? [] : [$pair->electrode->code => $points];
        }
        $policy = $plan->pairs()->first()?->policy;

        return view('ready.electrodes', ['rows' => $rows, 'chart' => new HistoryChart('Slope, % of the ideal', $series, $policy?->slope_low_percent, $policy?->slope_high_percent)]);
    }

    /** @return array<int, list<float>> the last slopes by pair, oldest first */
    private static function slopes(DayPlan $plan): array
    {
        $slopes = [];
        foreach ($plan->pairs() as $pair) {
            $last = Calibration::query()->where('pair_id', $pair->id)->whereNotNull('slope_percent')->orderByDesc('at')->limit(40)->pluck('slope_percent');
            $slopes[$pair->id] = array_values($last->reverse()->map(static fn(mixed $slope): float => is_numeric($slope) ? (float) $slope : 0.0)->all());
        }

        return $slopes;
    }

    public function lot(Lot $lot): View
    {
        $lot->load('uses.run.pair.electrode', 'uses.run.holder', 'uses.cell.pair.electrode', 'uses.cell.person', 'events.person');

        return view('ready.lot', ['lot' => $lot]);
    }

    public function thermometer(Thermometer $thermometer): View
    {
        $thermometer->load(['checks.person', 'checks.outcome', 'newestVerification.outcome', 'newestService']);
        $tolerance = $thermometer->service()->tolerance_c;
        $inForce = $thermometer->checks->filter(static fn(Verification $check): bool => !$check->isFailed() && $check->due_at->isFuture());

        $ranges = array_values(array_unique($inForce->map(static fn(Verification $check): array => [$check->verified_low_c, $check->verified_high_c])->all(), SORT_REGULAR));
        $range = static fn(array $ends): string => sprintf('%s to %s °C', Numbers::plain($ends[0]), Numbers::plain($ends[1]));

        return view('ready.thermometer', [
            'thermometer' => $thermometer,
            'gaps' => $ranges === [] ? [] : array_map($range, VerifiedRange::gaps($ranges, $thermometer->service()->use_low_c, $thermometer->service()->use_high_c)),
            'chart' => $thermometer->checks->count() > 1 ? new HistoryChart('Error within its tolerance, °C; the bar at the right is the next date', ['error' => VerificationScreen::series($thermometer->checks)], -$tolerance, $tolerance, reach: $thermometer->newestVerification === null ? null : [$thermometer->newestVerification->due_at, $thermometer->newestVerification->due_at->addDay()], least: 0.2) : null,
            'covered' => $inForce->isEmpty() ? 'nothing: no check is in force' : implode('; ', array_map($range, $ranges)),
        ]);
    }
}
