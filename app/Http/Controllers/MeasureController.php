<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\SampleRequest;
use Rheacid\Models\Batch;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Today\DayPlan;
use Rheacid\View\BeginMeasuringScreen;

/** Choosing what is measured, and with what. */
final class MeasureController
{
    public function index(DayPlan $plan): View
    {
        return view('measure.index', ['plan' => $plan]);
    }

    public function create(Request $request, Batch $batch, DayPlan $plan, SimulatedBench $bench): View
    {
        return view('measure.create', ['screen' => BeginMeasuringScreen::of($batch, $plan, $bench, $request->query('joins'), $request->query('place'))]);
    }

    public function store(SampleRequest $request, Batch $batch, BeginMeasuring $begin, SimulatedBench $bench): RedirectResponse
    {
        $pair = $request->pair();
        $draft = $begin(
            Bench::person($request),
            IdempotencyKey::from($request),
            $batch,
            $pair,
            $request->thermometer(),
            $request->stage(),
            $request->string('place')->toString(),
            $request->drawnAt(),
            $request->answers($batch),
            Bench::source($request, $pair, $bench),
            $request->joins(),
        );

        return redirect()->route('drafts.show', $draft);
    }
}
