<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Today\DayPlan;

/** The shelf: what is fit for use, and the history of each thing. */
final class ShelfController
{
    public function index(DayPlan $plan): View
    {
        return view('ready.index', [
            'plan' => $plan,
            'lots' => Lot::query()->with('uses')->orderBy('kind')->orderBy('nominal_ph')->orderBy('code')->get(),
            'thermometers' => Thermometer::query()->with('newestCheck')->orderBy('code')->get(),
        ]);
    }

    public function pair(Pair $pair, DayPlan $plan): View
    {
        $pair->load(['electrode.careEvents.person', 'calibrations.person', 'calibrations.void']);

        return view('ready.pair', ['pair' => $pair, 'standing' => $plan->standing($pair)]);
    }

    public function lot(Lot $lot): View
    {
        $lot->load('uses.run.pair.electrode', 'uses.run.holder');

        return view('ready.lot', ['lot' => $lot]);
    }

    public function thermometer(Thermometer $thermometer): View
    {
        $thermometer->load('checks.person');

        return view('ready.thermometer', ['thermometer' => $thermometer]);
    }
}
