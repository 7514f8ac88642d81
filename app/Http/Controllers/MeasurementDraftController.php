<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Bench\MoveElectrode;
use Rheacid\Actions\Bench\TreatSample;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\LeaveMeasuring;
use Rheacid\Actions\Measure\TakeOverMeasuring;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Http\Bench;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\MeasureScreen;

/** A measurement under way, one portion after the other. */
final class MeasurementDraftController
{
    public function show(MeasurementDraft $draft, SimulatedBench $bench): View|RedirectResponse
    {
        return $draft->reading === null
            ? view('measure.draft', ['screen' => MeasureScreen::of($draft, $bench)])
            : redirect()->route('readings.show', $draft->reading);
    }

    public function live(MeasurementDraft $draft, SimulatedBench $bench): View|RedirectResponse
    {
        $live = MeasureScreen::live($draft, $bench);

        return $live === null ? redirect()->route('drafts.show', $draft) : view('calibrate.live', ['live' => $live]);
    }

    public function immerse(Request $request, MeasurementDraft $draft, MoveElectrode $move): RedirectResponse
    {
        $move(Bench::person($request), $draft->pair->electrode, $request->integer('cup'), $request->integer('speed'), $draft);

        return redirect()->route('drafts.show', $draft);
    }

    public function treat(Request $request, MeasurementDraft $draft, TreatSample $treat): RedirectResponse
    {
        $request->validate(['what' => ['required', Rule::in(['pour', 'dilute'])]]);
        $treat(Bench::person($request), $draft, $request->string('what')->toString(), $request->integer('speed'));

        return redirect()->route('drafts.show', $draft);
    }

    public function accept(Request $request, MeasurementDraft $draft, AcceptReplicate $accept, SimulatedBench $bench): RedirectResponse
    {
        $accept(
            Bench::person($request),
            IdempotencyKey::from($request),
            $draft,
            Bench::reading($request, $draft->source, $draft->pair, $bench),
            Bench::remark($request),
        );

        return redirect()->route('drafts.show', $draft);
    }

    public function leave(Request $request, MeasurementDraft $draft, LeaveMeasuring $leave): RedirectResponse
    {
        $leave(Bench::person($request), IdempotencyKey::from($request), $draft, Bench::remark($request));

        return redirect()
            ->route('batches.show', $draft->sample->occasion->batch_id)
            ->with('done', 'Measurement cancelled. Its portions stay on record.');
    }

    public function takeOver(Request $request, MeasurementDraft $draft, TakeOverMeasuring $takeOver): RedirectResponse
    {
        $takeOver(Bench::person($request), IdempotencyKey::from($request), $draft, Bench::remark($request));

        return redirect()->route('drafts.show', $draft);
    }
}
