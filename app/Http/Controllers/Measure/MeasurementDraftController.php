<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\LeaveMeasuring;
use Rheacid\Actions\Measure\TakeOverMeasuring;
use Rheacid\Actions\Practice\MoveElectrode;
use Rheacid\Actions\Practice\TreatSample;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Measure\MeasureScreen;

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
        $move(Sent::person($request), $draft->pair->electrode, $request->integer('cup'), $request->integer('speed'), $draft);

        return redirect()->route('drafts.show', $draft);
    }

    public function treat(Request $request, MeasurementDraft $draft, TreatSample $treat): RedirectResponse
    {
        $request->validate(['what' => ['required', Rule::in(['pour', 'dilute'])]]);
        $treat(Sent::person($request), $draft, $request->string('what')->toString(), $request->integer('speed'));

        return redirect()->route('drafts.show', $draft);
    }

    public function accept(Request $request, MeasurementDraft $draft, AcceptReplicate $accept, SimulatedBench $bench): RedirectResponse
    {
        $accept(
            Sent::person($request),
            IdempotencyKey::from($request),
            $draft,
            Sent::reading($request, $draft->source, $draft->pair, $bench),
            Sent::remark($request),
        );

        return redirect()->route('drafts.show', $draft);
    }

    public function leave(Request $request, MeasurementDraft $draft, LeaveMeasuring $leave): RedirectResponse
    {
        $leave(Sent::person($request), IdempotencyKey::from($request), $draft, Sent::remark($request));

        return redirect()
            ->route('batches.show', $draft->sample->occasion->batch_id)
            ->with('done', 'Measurement cancelled. Its portions stay on record.');
    }

    public function takeOver(Request $request, MeasurementDraft $draft, TakeOverMeasuring $takeOver): RedirectResponse
    {
        $takeOver(Sent::person($request), IdempotencyKey::from($request), $draft, Sent::remark($request));

        return redirect()->route('drafts.show', $draft);
    }
}
