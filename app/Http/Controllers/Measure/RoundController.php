<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\DrawCups;
use Rheacid\Actions\Measure\OpenRound;
use Rheacid\Actions\Measure\PassStops;
use Rheacid\Actions\Measure\VisitStop;
use Rheacid\Http\Forms\Measure\RoundRequest;
use Rheacid\Http\Forms\Measure\SampleFields;
use Rheacid\Http\Forms\Measure\StopRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Measure\RoundFoundScreen;
use Rheacid\View\Measure\RoundScreen;
use Rheacid\View\Measure\RoundStartScreen;

/** From vat to vat with one pair, or from cup to cup. */
final class RoundController
{
    public function create(): View
    {
        return view('rounds.create', ['screen' => RoundStartScreen::of(CarbonImmutable::now())]);
    }

    public function store(RoundRequest $request, OpenRound $open): RedirectResponse
    {
        $round = $open(
            Sent::person($request),
            IdempotencyKey::from($request),
            $request->pair(),
            $request->thermometer(),
            $request->candidates(),
            $request->boolean('still'),
            $request->string('way')->toString() === 'coded',
        );

        return redirect()->route('rounds.show', $round);
    }

    public function show(Round $round): View
    {
        $now = CarbonImmutable::now();
        $screen = RoundScreen::of($round, $now);

        return match (true) {
            $screen === null => view('rounds.found', ['screen' => RoundFoundScreen::of($round, $now)]),
            $round->isToBeDrawn() => view('rounds.draw', ['screen' => $screen]),
            default => view('rounds.stop', ['screen' => $screen]),
        };
    }

    public function draw(Request $request, Round $round, DrawCups $draw): RedirectResponse
    {
        $request->validate(['drawn_at' => ['required', 'string', 'max:20']], ['drawn_at' => 'Type when the cups were drawn.']);
        $draw(
            Sent::person($request),
            IdempotencyKey::from($request),
            $round,
            TypedTime::read($request->string('drawn_at')->toString()),
            $request->boolean('chilled'),
        );

        return redirect()->route('rounds.show', $round);
    }

    public function visit(StopRequest $request, Round $round, RoundStop $stop, VisitStop $visit): RedirectResponse
    {
        $visit(
            Sent::person($request),
            IdempotencyKey::from($request),
            RoundPlan::stop($round, $stop->id),
            $request->signals(),
            $request->celsius(),
            $request->isSaidStable(),
            $request->reason(),
            $request->watched(),
            SampleFields::dilution($request, $stop->batch->product->method),
            SampleFields::pilotHole($request, $stop->batch->product->method),
            SampleFields::isRinsed($request),
        );

        return redirect()->route('rounds.show', $round);
    }

    public function pass(Request $request, Round $round, PassStops $pass): RedirectResponse
    {
        $request->validate(['stop' => ['nullable', 'integer'], 'reason' => ['required', 'string', 'max:400']], ['reason' => 'Write why.']);
        $pass(
            Sent::person($request),
            IdempotencyKey::from($request),
            $round,
            $request->filled('stop') ? RoundPlan::stop($round, $request->integer('stop')) : null,
            trim($request->string('reason')->toString()),
        );

        return redirect()->route('rounds.show', $round);
    }
}
