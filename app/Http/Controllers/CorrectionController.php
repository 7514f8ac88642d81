<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\CorrectMeasurement;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Bench;
use Rheacid\Http\Measured;
use Rheacid\Models\Measurement;
use Rheacid\Records\IdempotencyKey;

/** Correcting a reading: a new entry that supersedes it. */
final class CorrectionController
{
    public function create(Request $request, Measurement $reading): View
    {
        abort_unless(CorrectMeasurement::allows(Bench::person($request), $reading), 403, 'A checker corrects own readings only.');
        $reading->load(['sample.batch.product.method', 'replicates', 'successor', 'pair.meter']);

        return view('measure.correction', ['reading' => $reading]);
    }

    public function store(Request $request, Measurement $reading, CorrectMeasurement $correct): RedirectResponse
    {
        $quantity = $reading->pair->meter->shows_mv ? Quantity::Millivolt : Quantity::Ph;
        $request->validate([
            'stage' => ['required', Rule::enum(Stage::class)],
            'place' => ['required', Rule::in($reading->method->places)],
            'drawn_at' => ['required', 'string', 'max:20'],
            'signal' => ['required', 'array'],
            'signal.*' => ['required', 'string', new Measured($quantity)],
            'celsius' => ['required', 'array'],
            'celsius.*' => ['required', 'string', new Measured(Quantity::Temperature)],
        ], ['signal.*.required' => $quantity->accepted(), 'celsius.*.required' => Quantity::Temperature->accepted()]);
        $values = [];
        foreach ($reading->replicates as $replicate) {
            $typed = (string) $request->string("signal.{$replicate->position}");
            $shown = (string) $request->string("celsius.{$replicate->position}");
            // A portion that the form leaves out stays as it was.
            if ($typed !== '' && $shown !== '') {
                $value = $quantity->read($typed);
                $values[$replicate->position] = ['signal' => $quantity === Quantity::Ph ? Signal::shownPh($value) : Signal::mv($value), 'celsius' => Quantity::Temperature->read($shown)];
            }
        }
        $corrected = $correct(
            Bench::person($request),
            IdempotencyKey::from($request),
            $reading,
            Stage::from((string) $request->string('stage')),
            (string) $request->string('place'),
            MeasureController::drawnAt((string) $request->string('drawn_at')),
            $values,
            Bench::remark($request),
        );

        return redirect()->route('readings.show', $corrected)->with('done', 'Corrected. The first entry stays on record.');
    }
}
