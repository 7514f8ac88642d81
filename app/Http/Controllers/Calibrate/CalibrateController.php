<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Calibrate;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Http\Forms\Calibrate\RunRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Calibrate\BeginRunScreen;
use Rheacid\View\Today\DayPlan;

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
            Sent::person($request),
            IdempotencyKey::from($request),
            $pair,
            $lots,
            $request->readBack($lots[0]),
            Sent::source($request, $pair, $bench),
            Sent::remark($request, 'soak_reason'),
            $request->fit(),
            $order,
            Sent::remark($request, 'answer'),
            $plan->expectedPh(),
            Sent::remark($request, 'seen'),
            Sent::thermometer($request),
        );

        return redirect()->route('runs.show', $run);
    }
}
