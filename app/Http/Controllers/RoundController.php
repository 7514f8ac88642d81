<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\OpenRound;
use Rheacid\Actions\Measure\PassStops;
use Rheacid\Actions\Measure\VisitStop;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\RoundRequest;
use Rheacid\Http\Requests\StopRequest;
use Rheacid\Http\SampleFields;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Rounds\Way;
use Rheacid\View\RoundScreen;
use Rheacid\View\RoundStartScreen;

/** From vat to vat with one pair. */
final class RoundController
{
    public function create(): View
    {
        return view('rounds.create', ['screen' => RoundStartScreen::of(CarbonImmutable::now())]);
    }

    public function store(RoundRequest $request, OpenRound $open): RedirectResponse
    {
        $round = $open(Bench::person($request), IdempotencyKey::from($request), $request->pair(), $request->thermometer(), $request->candidates(), $request->boolean('still'), $request->drawnAt(), $request->boolean('chilled'));

        return redirect()->route('rounds.show', $round);
    }

    public function show(Round $round): View
    {
        $screen = RoundScreen::of($round, CarbonImmutable::now());

        return view($screen->stop === null ? 'rounds.found' : 'rounds.stop', ['screen' => $screen]);
    }

    public function visit(StopRequest $request, Round $round, RoundStop $stop, VisitStop $visit): RedirectResponse
    {
        $visit(Bench::person($request), IdempotencyKey::from($request), Way::stop($round, $stop->id), $request->signals(), $request->celsius(), $request->isSaidStable(), $request->reason(), $request->watched(), SampleFields::dilution($request, $stop->batch->product->method), SampleFields::pilotHole($request, $stop->batch->product->method));

        return redirect()->route('rounds.show', $round);
    }

    public function pass(Request $request, Round $round, PassStops $pass): RedirectResponse
    {
        $request->validate(['stop' => ['nullable', 'integer'], 'reason' => ['required', 'string', 'max:400']], ['reason' => 'Write why.']);
        $pass(Bench::person($request), IdempotencyKey::from($request), $round, $request->filled('stop') ? Way::stop($round, $request->integer('stop')) : null, trim($request->string('reason')->toString()));

        return redirect()->route('rounds.show', $round);
    }
}
