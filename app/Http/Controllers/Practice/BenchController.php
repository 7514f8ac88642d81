<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Practice;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Simulation\Fault;
use Rheacid\Core\Simulation\Scene;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\Occupancy;

/** Sets the scene of the simulated bench: which fault it has, drawn from a seed. */
final class BenchController
{
    public function show(Pair $pair, SimulatedBench $bench): View
    {
        abort_unless($bench->knows($pair->electrode), 404);

        return view('calibrate.bench', ['pair' => $pair]);
    }

    public function store(Request $request, Pair $pair, SimulatedBench $bench): RedirectResponse
    {
        abort_unless($bench->knows($pair->electrode), 404);
        $request->validate(
            ['fault' => ['required', Rule::enum(Fault::class)], 'seed' => ['required', 'integer', 'min:1', 'max:1000000']],
            ['seed' => 'Type a whole number from 1 to 1000000.'],
        );
        Occupancy::ensureMovable(Sent::person($request), $pair->electrode, Occupancy::work($pair->electrode));
        $bench->set(
            $pair->electrode,
            Scene::draw(
                $request->integer('seed'),
                Fault::from((string) $request->string('fault')),
                Fault::tryFrom((string) $request->string('also')) ?? Fault::Healthy,
            ),
        );

        return redirect()->route('runs.create', $pair)->with('done', 'Simulated bench set.');
    }
}
