<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Limits\Stage;
use Rheacid\Http\Bench;
use Rheacid\Models\Batch;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\SiteClock;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Shelf\Thermometers;
use Rheacid\Today\DayPlan;

/** Choosing what is measured, and with what. */
final class MeasureController
{
    public function index(DayPlan $plan): View
    {
        return view('measure.index', ['plan' => $plan]);
    }

    public function create(Batch $batch, DayPlan $plan, SimulatedBench $bench): View
    {
        $batch->load('product.method', 'product.limits');

        return view('measure.create', [
            'batch' => $batch,
            'plan' => $plan,
            // What can be relied on comes first.
            'thermometers' => Thermometer::query()->with('newestVerification.outcome')->orderBy('code')->get()->sortBy(static fn(Thermometer $thermometer): int => Thermometers::status($thermometer)->state->isInForce() ? 0 : 1)->values(),
            'simulated' => $plan->readyPair() !== null && $bench->knows($plan->readyPair()->electrode),
        ]);
    }

    public function store(Request $request, Batch $batch, BeginMeasuring $begin, SimulatedBench $bench): RedirectResponse
    {
        $product = $batch->product;
        $request->validate([
            'pair' => ['required', 'integer', 'exists:pairs,id'],
            'thermometer' => ['required', 'integer', 'exists:thermometers,id'],
            'stage' => ['required', Rule::enum(Stage::class)],
            'place' => ['required', Rule::in($product->method->places)],
            'drawn_at' => ['required', 'string', 'max:20'],
            'conditions' => ['array'],
            'conditions.*' => [Rule::in($product->limits->pluck('condition')->filter())],
        ], [
            'pair' => 'Choose a pair of meter and electrode.',
            'thermometer' => 'Choose a thermometer.',
            'stage' => 'Choose the stage of the batch.',
            'place' => 'Choose where the sample was drawn.',
        ]);
        $pair = Pair::query()->findOrFail($request->integer('pair'));
        $draft = $begin(
            Bench::person($request),
            IdempotencyKey::from($request),
            $batch,
            $pair,
            Thermometer::query()->findOrFail($request->integer('thermometer')),
            Stage::from((string) $request->string('stage')),
            (string) $request->string('place'),
            self::drawnAt((string) $request->string('drawn_at')),
            array_values(array_filter((array) $request->input('conditions', []), is_string(...))),
            Bench::source($request, $pair, $bench),
        );

        return redirect()->route('drafts.show', $draft);
    }

    /** @throws Refused if it is no time */
    public static function drawnAt(string $typed): CarbonImmutable
    {
        return SiteClock::fromField($typed) ?? throw Refused::because('The time is not understood; accepted is a day and a time like 2026-11-24 09:40.', 'drawn_at');
    }
}
