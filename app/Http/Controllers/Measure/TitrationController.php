<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Measure\RecordTitration;
use Rheacid\Actions\Measure\StandardiseTitrant;
use Rheacid\Actions\Practice\OpenBurette;
use Rheacid\Bench\SimulatedBurettes;
use Rheacid\Calculators\Calculator;
use Rheacid\Calculators\Typed;
use Rheacid\Core\Acidity\BlankTakesAll;
use Rheacid\Http\Forms\Measure\SampleFields;
use Rheacid\Http\Forms\Measure\TitrationRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Batch;
use Rheacid\Models\Lot;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;
use Rheacid\View\Measure\TitrationScreen;

/** Acidity by titration, and the strength of the titrant. */
final class TitrationController
{
    public function create(Request $request, Batch $batch): View
    {
        return view('measure.titration', [
            'screen' => TitrationScreen::of(
                $batch,
                SampleFields::corrected($request, $batch),
                $request->query('runs'),
                $request->boolean('take'),
            ),
        ]);
    }

    public function store(TitrationRequest $request, Batch $batch, RecordTitration $record): RedirectResponse
    {
        try {
            $measurement = $record(
                Sent::person($request),
                IdempotencyKey::from($request),
                $batch,
                $request->titration(),
                SampleFields::correction($request, $batch),
            );
        } catch (BlankTakesAll $failure) {
            throw Refused::because($failure->getMessage(), 'blank_ml');
        }

        return redirect()
            ->route('readings.show', $measurement)
            ->with('done', "Recorded on $batch->code.");
    }

    /** The curve of a portion as far as it is typed, and where its endpoint lies: a part of the page. */
    public function draw(Request $request, Batch $batch, int $portion): View
    {
        $text = static fn(string $key): string => is_string($request->input($key)) ? $request->input($key) : '';

        return view(
            'measure.curve',
            TitrationScreen::drawn($text("portions.$portion.curve"), $text('endpoint'), $text('celsius'), $text('compensation')),
        );
    }

    /** What the simulated burette has given so far: a part of the page, asked for every second. */
    public function live(Request $request, Batch $batch): View|RedirectResponse
    {
        $runs = TitrationScreen::runs($request->query('runs'));
        $burettes = SimulatedBurettes::of($batch, $runs);

        return $burettes === []
            ? redirect()->route('titrations.create', $batch)
            : view('measure.burette', ['burettes' => $burettes, 'batch' => $batch, 'runs' => $runs]);
    }

    public function burette(Request $request, Batch $batch, OpenBurette $open): RedirectResponse
    {
        $request->validate(
            [
                'pair' => ['required', 'integer', 'exists:pairs,id'],
                'sample_ml' => ['required', 'string', 'max:12'],
                'runs' => ['nullable', 'string', 'max:60'],
            ],
            ['pair' => 'Choose a pair.', 'sample_ml' => 'Type the sample volume in mL.'],
        );
        $id = $open(
            Sent::person($request),
            $batch,
            Instruments::pair($request->integer('pair')),
            $request->string('sample_ml')->toString(),
            $request->integer('speed'),
        );

        return redirect()->to(
            route('titrations.create', [
                $batch,
                'runs' => implode(',', array_slice([...TitrationScreen::runs($request->input('runs')), $id], -TitrationRequest::PORTIONS)),
            ]) . '#bench-title',
        );
    }

    public function standardise(Request $request, Lot $lot, StandardiseTitrant $standardise): RedirectResponse
    {
        [$typed, , $problems] = Typed::read(Calculator::Titrant->fields(), $request->only(['runs', 'purity']));
        if ($typed === null) {
            throw Refused::because((string) (reset($problems) ?: 'Type the runs.'), (string) (array_key_first($problems) ?? 'runs'));
        }
        $runs = $typed->pairs('runs');
        assert($runs !== []);
        $found = $standardise(Sent::person($request), IdempotencyKey::from($request), $lot, $runs, $typed->number('purity') / 100);

        return redirect()
            ->route('lots.show', $lot)
            ->with('done', sprintf('%s N ± %s.', round($found->normality, 5), round($found->expanded_u, 5)));
    }
}
