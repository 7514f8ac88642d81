<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\RecordLate;
use Rheacid\Core\Limits\Stage;
use Rheacid\Http\Forms\Measure\PaperLines;
use Rheacid\Http\Forms\Measure\SampleFields;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Batch;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Measure\LateScreen;

/** Readings that stood on paper, entered afterwards. */
final class LateController
{
    public function create(Batch $batch): View
    {
        return view('measure.late', ['screen' => LateScreen::of($batch)]);
    }

    public function store(Request $request, Batch $batch, RecordLate $record): RedirectResponse
    {
        $request->validate(
            [
                'pair' => ['required', 'integer', 'exists:pairs,id'],
                'thermometer' => ['required', 'integer', 'exists:thermometers,id'],
                'stage' => ['required', Rule::enum(Stage::class)],
                'place' => ['required', Rule::in($batch->product->method->places)],
                'readings' => ['required', 'string', 'max:8000'],
            ],
            [
                'pair' => 'Choose a pair.',
                'thermometer' => 'Choose a thermometer.',
                'place' => 'Choose where the samples were taken.',
                'readings.required' => 'Type the readings, one sample per line.',
            ],
        );
        $pair = Instruments::pair($request->integer('pair'));
        $lines = PaperLines::read($request->string('readings')->toString(), $pair->meter->shows_mv);
        $record(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            $pair,
            Instruments::thermometer($request->integer('thermometer')),
            Stage::from($request->string('stage')->toString()),
            $request->string('place')->toString(),
            $lines,
            $request->boolean('still'),
            SampleFields::dilution($request, $batch->product->method),
        );

        return redirect()
            ->route('batches.show', $batch)
            ->with(
                'done',
                count($lines) === 1
                    ? 'One reading recorded, marked as entered late.'
                    : count($lines) . ' readings recorded, marked as entered late.',
            );
    }
}
