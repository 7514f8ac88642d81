<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Contracts\View\View;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\View\Ready\BottleScreen;
use Rheacid\View\Ready\CompareScreen;
use Rheacid\View\Ready\PairScreen;
use Rheacid\View\Today\DayPlan;
use Rheacid\View\Verify\ThermometerScreen;

/** The shelf: what is fit for use, and the history of each thing. */
final class ShelfController
{
    public function index(DayPlan $plan): View
    {
        return view('ready.index', [
            'plan' => $plan,
            'alone' => Instruments::alone(),
            'bottles' => Lines::bottles(),
            'thermometers' => Lines::thermometers(goneToo: true),
        ]);
    }

    public function pair(Pair $pair): View
    {
        return view('ready.pair', ['screen' => PairScreen::of($pair)]);
    }

    public function compare(DayPlan $plan): View
    {
        return view('ready.electrodes', ['screen' => CompareScreen::of($plan)]);
    }

    public function lot(Lot $lot): View
    {
        return view('ready.lot', ['screen' => BottleScreen::of($lot)]);
    }

    public function thermometer(Thermometer $thermometer): View
    {
        return view('ready.thermometer', ['screen' => ThermometerScreen::of($thermometer)]);
    }
}
