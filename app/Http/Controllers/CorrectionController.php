<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\CorrectReading;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Bench;
use Rheacid\Http\Measured;
use Rheacid\Models\Reading;
use Rheacid\Records\SentForm;

/** Correcting a reading: a new entry that supersedes it. */
final class CorrectionController
{
    public function create(Request $request, Reading $reading): View
    {
        abort_unless(CorrectReading::allows(Bench::person($request), $reading), 403, 'A checker corrects own readings only.');
        $reading->load(['sample.batch.product.method', 'replicates', 'successor']);

        return view('measure.correction', ['reading' => $reading]);
    }

    public function store(Request $request, Reading $reading, CorrectReading $correct): RedirectResponse
    {
        $request->validate([
            'stage' => ['required', Rule::enum(Stage::class)],
            'place' => ['required', Rule::in($reading->method->places)],
            'drawn_at' => ['required', 'string', 'max:20'],
            'mv' => ['required', 'array'],
            'mv.*' => ['required', 'string', new Measured(Quantity::Millivolt)],
            'celsius' => ['required', 'array'],
            'celsius.*' => ['required', 'string', new Measured(Quantity::Temperature)],
        ], ['mv.*.required' => Quantity::Millivolt->accepted(), 'celsius.*.required' => Quantity::Temperature->accepted()]);
        $values = [];
        foreach ($reading->replicates as $replicate) {
            $values[$replicate->position] = [
                'mv' => Quantity::Millivolt->read((string) $request->string("mv.{$replicate->position}")),
                'celsius' => Quantity::Temperature->read((string) $request->string("celsius.{$replicate->position}")),
            ];
        }
        $corrected = $correct(
            Bench::person($request),
            SentForm::from($request),
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
