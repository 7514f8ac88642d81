<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Http\Bench;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Records\Refused;
use Rheacid\Records\SentForm;
use Rheacid\Today\DayPlan;

/** Choosing what is calibrated, and on which bottles. */
final class CalibrateController
{
    public function index(DayPlan $plan): View
    {
        return view('calibrate.index', ['plan' => $plan]);
    }

    public function create(Pair $pair, DayPlan $plan, SimulatedBench $bench): View
    {
        $buffers = $plan->buffers();
        // Neutral first, then away from it: the usual order.
        $order = array_map(static fn(BufferLot $lot): string => $lot->id, $buffers->points);
        usort($order, static fn(string $a, string $b): int => abs(self::nominal($buffers->points, $a) - 7) <=> abs(self::nominal($buffers->points, $b) - 7));

        return view('calibrate.create', [
            'pair' => $pair,
            'standing' => $plan->standing($pair),
            'buffers' => $buffers,
            'order' => $order,
            'expected' => $plan->expectedPh(),
            'lots' => Lot::query()->with('uses')->orderBy('nominal_ph')->orderBy('code')->get(),
            'simulated' => $bench->knows($pair->electrode),
        ]);
    }

    public function store(Request $request, Pair $pair, OpenRun $open, SimulatedBench $bench): RedirectResponse
    {
        $request->validate([
            'lots' => ['required', 'array', 'min:1', 'max:5'],
            'lots.*' => ['nullable', 'string', 'max:20'],
        ]);
        $chosen = array_values(array_filter((array) $request->input('lots'), static fn(mixed $code): bool => is_string($code) && $code !== ''));
        $known = Lot::query()->with('uses')->whereIn('code', $chosen)->get()->keyBy('code');
        $lots = array_map(static fn(string $code): Lot => $known->get($code) ?? throw Refused::because("There is no bottle $code on the shelf.", 'lots'), $chosen);
        if ($lots === []) {
            throw Refused::because('Choose at least one buffer; two about 3 pH apart give a slope.', 'lots');
        }
        $run = $open(Bench::person($request), SentForm::from($request), $pair, $lots, $lots[0], Bench::source($request, $pair, $bench), Bench::remark($request, 'soak_reason'));

        return redirect()->route('runs.show', $run);
    }

    /** @param list<BufferLot> $points */
    private static function nominal(array $points, string $id): float
    {
        foreach ($points as $lot) {
            if ($lot->id === $id) {
                return $lot->nominalPh;
            }
        }

        return 7.0;
    }
}
