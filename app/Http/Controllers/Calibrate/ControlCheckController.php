<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Calibrate;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Calibrate\ReadControlCheck;
use Rheacid\Actions\Practice\MoveElectrode;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Forms\MeasuredQuantity;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Pair;
use Rheacid\Models\SessionMoment;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Calibrate\ControlCheckScreen;

/** Reading an independent buffer, and the chart of those that were read. */
final class ControlCheckController
{
    public function show(Pair $pair, SimulatedBench $bench): View
    {
        return view('calibrate.check', ['screen' => ControlCheckScreen::of($pair, $bench)]);
    }

    public function live(Pair $pair, SimulatedBench $bench): View|RedirectResponse
    {
        $live = ControlCheckScreen::live($pair, $bench);

        return $live === null ? redirect()->route('checks.show', $pair) : view('calibrate.live', ['live' => $live]);
    }

    public function immerse(Request $request, Pair $pair, MoveElectrode $move): RedirectResponse
    {
        $move(Sent::person($request), $pair->electrode, $request->integer('cup'), $request->integer('speed'));

        return redirect()->route('checks.show', $pair)->withInput($request->only(['lot', 'moment', 'round']));
    }

    public function store(Request $request, Pair $pair, ReadControlCheck $check, SimulatedBench $bench): RedirectResponse
    {
        $request->validate([
            'lot' => ['required', 'string', 'max:20'],
            'moment' => ['required', Rule::enum(SessionMoment::class)],
            'cup_c' => ['nullable', 'string', new MeasuredQuantity(Quantity::Temperature)],
        ]);
        $source = $bench->knows($pair->electrode) && !$request->filled('mv') ? Source::Simulated : Source::Typed;
        $done = $check(
            Sent::person($request),
            IdempotencyKey::from($request),
            $pair,
            Bottles::byCode($request->string('lot')->toString()),
            SessionMoment::from($request->string('moment')->toString()),
            Sent::reading($request, $source, $pair, $bench),
            Sent::remark($request),
            Sent::thermometer($request),
            $request->filled('cup_c') ? Quantity::Temperature->read((string) $request->string('cup_c')) : null,
        );

        $request->validate(['round' => ['nullable', 'integer', 'exists:rounds,id']]);
        // Who is on a round goes on with it; who has something to do about the check sees that first.
        $next
            = $done->passed === true && $request->filled('round')
                ? redirect()->route('rounds.show', $request->integer('round'))
                : redirect()->route('checks.show', $pair);

        return $next->with(
            $done->passed === true ? 'done' : 'failed',
            match ($done->passed) {
                true => 'Check passed. It confirms this calibration.',
                false
                    => 'The check failed, so the calibration is void. Calibrate again. Readings since the last passed check are in doubt.',
                null => 'The reading was not stable, so the check does not count. Read it again and wait.',
            },
        );
    }
}
