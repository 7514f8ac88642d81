<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\RecordTitration;
use Rheacid\Actions\Measure\StandardiseTitrant;
use Rheacid\Calculators\Calculator;
use Rheacid\Calculators\Typed;
use Rheacid\Core\Acidity\BlankTakesAll;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\TitrationRequest;
use Rheacid\Http\SampleFields;
use Rheacid\Models\Batch;
use Rheacid\Models\Lot;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;
use Rheacid\View\TitrationScreen;

/** Acidity by titration, and the strength of the titrant. */
final class TitrationController
{
    public function create(Request $request, Batch $batch): View
    {
        return view('measure.titration', ['screen' => TitrationScreen::of($batch, SampleFields::corrected($request, $batch))]);
    }

    public function store(TitrationRequest $request, Batch $batch, RecordTitration $record): RedirectResponse
    {
        try {
            $measurement = $record(Bench::person($request), IdempotencyKey::from($request), $batch, $request->told(), SampleFields::correction($request, $batch));
        } catch (BlankTakesAll $failure) {
            throw Refused::because($failure->getMessage(), 'blank_ml');
        }

        return redirect()->route('readings.show', $measurement)->with('done', "Recorded on $batch->code.");
    }

    public function standardise(Request $request, Lot $lot, StandardiseTitrant $standardise): RedirectResponse
    {
        [$typed, , $problems] = Typed::read(Calculator::Titrant->fields(), $request->only(['runs', 'purity']));
        if ($typed === null) {
            throw Refused::because((string) (reset($problems) ?: 'Give the runs.'), (string) (array_key_first($problems) ?? 'runs'));
        }
        $runs = $typed->pairs('runs');
        assert($runs !== []);
        $found = $standardise(Bench::person($request), IdempotencyKey::from($request), $lot, $runs, $typed->number('purity') / 100);

        return redirect()->route('lots.show', $lot)->with('done', sprintf('%s N ± %s.', round($found->normality, 5), round($found->expanded_u, 5)));
    }
}
