<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Calibrate;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\LeaveRun;
use Rheacid\Actions\Calibrate\TakeOverRun;
use Rheacid\Actions\Practice\MoveElectrode;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\CalibrationRun;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Calibrate\RunScreen;

/** A calibration under way, one station after the other. */
final class CalibrationRunController
{
    public function show(CalibrationRun $run, SimulatedBench $bench): View|RedirectResponse
    {
        return $run->calibration === null
            ? view('calibrate.run', ['screen' => RunScreen::of($run, $bench)])
            : redirect()->route('calibrations.show', $run->calibration);
    }

    public function live(CalibrationRun $run, SimulatedBench $bench): View|RedirectResponse
    {
        $live = RunScreen::live($run, $bench);

        return $live === null ? redirect()->route('runs.show', $run) : view('calibrate.live', ['live' => $live]);
    }

    public function immerse(Request $request, CalibrationRun $run, MoveElectrode $move): RedirectResponse
    {
        $move(Sent::person($request), $run->pair->electrode, $request->integer('cup'), $request->integer('speed'), $run);

        return redirect()->route('runs.show', $run);
    }

    public function accept(Request $request, CalibrationRun $run, AcceptPoint $accept, SimulatedBench $bench): RedirectResponse
    {
        $accept(
            Sent::person($request),
            IdempotencyKey::from($request),
            $run,
            $request->integer('station', -1),
            Sent::reading($request, $run->source, $run->pair, $bench),
            Sent::answers($request),
            Sent::ownCalibration($request),
        );

        return redirect()->route('runs.show', $run);
    }

    public function leave(Request $request, CalibrationRun $run, LeaveRun $leave): RedirectResponse
    {
        $leave(Sent::person($request), IdempotencyKey::from($request), $run, Sent::remark($request));

        return redirect()->route('calibrate')->with('done', 'Calibration ended. Its points stay on record.');
    }

    public function takeOver(Request $request, CalibrationRun $run, TakeOverRun $takeOver): RedirectResponse
    {
        $takeOver(Sent::person($request), IdempotencyKey::from($request), $run, Sent::remark($request));

        return redirect()->route('runs.show', $run);
    }
}
