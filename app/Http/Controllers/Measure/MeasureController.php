<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Http\Forms\Measure\SampleFields;
use Rheacid\Http\Forms\Measure\SampleRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Batch;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Measure\BeginMeasuringScreen;
use Rheacid\View\Today\DayPlan;

/** Choosing what is measured, and with what. */
final class MeasureController
{
    public function index(): View
    {
        [$page, $batches] = Lines::workPage();

        return view('measure.index', ['page' => $page, 'batches' => $batches, 'rounds' => RoundPlan::open(CarbonImmutable::now())]);
    }

    public function create(Request $request, Batch $batch, DayPlan $plan, SimulatedBench $bench): View
    {
        return view('measure.create', [
            'screen' => BeginMeasuringScreen::of(
                $batch,
                $plan,
                $bench,
                $request->query('joins'),
                $request->query('place'),
                $request->query('stop'),
            ),
        ]);
    }

    public function store(SampleRequest $request, Batch $batch, BeginMeasuring $begin, SimulatedBench $bench): RedirectResponse
    {
        $pair = $request->pair();
        $draft = $begin(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            $pair,
            $request->thermometer(),
            $request->drawn(),
            $request->answers($batch),
            Sent::source($request, $pair, $bench),
            $request->roundStop(),
            SampleFields::dilution($request, $batch->product->method),
        );

        return redirect()->route('drafts.show', $draft);
    }
}
