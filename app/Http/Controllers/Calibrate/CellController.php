<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Calibrate;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Calibrate\CalibrateCell;
use Rheacid\Actions\Practice\MoveElectrode;
use Rheacid\Bench\CellReading;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Forms\MeasuredQuantity;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Calibrate\CellScreen;

/** A conductivity pen or a redox electrode in its standard. */
final class CellController
{
    public function show(Pair $pair, SimulatedBench $bench): View|RedirectResponse
    {
        return $pair->electrode->measures === Measures::Ph
            ? redirect()->route('runs.create', $pair)
            : view('calibrate.cell', ['screen' => CellScreen::of($pair, $bench)]);
    }

    public function live(Pair $pair, SimulatedBench $bench): View|RedirectResponse
    {
        $live = $pair->electrode->measures === Measures::Ph ? null : CellScreen::live($pair, $bench);

        return $live === null ? redirect()->route('cells.show', $pair) : view('calibrate.live', ['live' => $live]);
    }

    public function immerse(Request $request, Pair $pair, MoveElectrode $move): RedirectResponse
    {
        $move(Sent::person($request), $pair->electrode, $request->integer('cup'), $request->integer('speed'));

        return redirect()->route('cells.show', $pair)->withInput($request->only('lot'));
    }

    public function store(Request $request, Pair $pair, CalibrateCell $calibrate, SimulatedBench $bench): RedirectResponse
    {
        $request->validate(['lot' => ['required', 'string', 'max:20']]);
        $lot = Bottles::byCode($request->string('lot')->toString());
        $calibrate(
            Sent::person($request),
            IdempotencyKey::from($request),
            $pair,
            $lot,
            self::reading($request, $pair, $bench),
            Sent::remark($request),
        );

        return redirect()->route('cells.show', $pair);
    }

    private static function reading(Request $request, Pair $pair, SimulatedBench $bench): CellReading
    {
        if ($bench->hasCell($pair->electrode) && !$request->filled('reading')) {
            $request->validate(['seen_s' => ['nullable', 'numeric', 'min:0']]);

            return CellReading::simulated($bench, $pair, $request->filled('seen_s') ? $request->float('seen_s') : null);
        }
        $quantity = $pair->electrode->measures === Measures::Conductivity ? Quantity::Conductivity : Quantity::Millivolt;
        $request->validate(
            [
                'reading' => ['required', 'string', new MeasuredQuantity($quantity)],
                'celsius' => ['required', 'string', new MeasuredQuantity(Quantity::Temperature)],
            ],
            ['reading.required' => $quantity->accepted(), 'celsius.required' => Quantity::Temperature->accepted()],
        );

        return CellReading::typed(
            $quantity->read((string) $request->string('reading')),
            Quantity::Temperature->read((string) $request->string('celsius')),
            $request->boolean('still'),
            $request->boolean('is_compensated'),
        );
    }
}
