<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\RunRequest;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Today\DayPlan;
use Rheacid\View\BeginRunScreen;

/** Choosing what is calibrated, and on which bottles. */
final class CalibrateController
{
    public function index(DayPlan $plan): View
    {
        return view('calibrate.index', ['plan' => $plan, 'inRun' => $plan->runsByPair()]);
    }

    public function create(Pair $pair, DayPlan $plan, SimulatedBench $bench): View|RedirectResponse
    {
        return $pair->electrode->measures === Measures::Ph
            ? view('calibrate.create', ['screen' => BeginRunScreen::of($pair, $plan, $bench)])
            : redirect()->route('cells.show', $pair);
    }

    public function store(RunRequest $request, Pair $pair, OpenRun $open, SimulatedBench $bench, DayPlan $plan): RedirectResponse
    {
        $order = $request->order($pair->policy->buffer_order);
        $lots = $request->lots($order);
        $run = $open(
            Bench::person($request),
            IdempotencyKey::from($request),
            $pair,
            $lots,
            $request->readBack($lots[0]),
            Bench::source($request, $pair, $bench),
            Bench::remark($request, 'soak_reason'),
            $request->fit(),
            $order,
            Bench::remark($request, 'answer'),
            $plan->expectedPh(),
            Bench::remark($request, 'seen'),
            Bench::thermometer($request),
        );

        return redirect()->route('runs.show', $run);
    }
}
