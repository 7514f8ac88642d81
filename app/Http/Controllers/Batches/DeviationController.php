<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Batches;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Batches\DisposeDeviation;
use Rheacid\Actions\Batches\RecordCorrectiveAction;
use Rheacid\Core\Batches\DispositionKind;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Deviation;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;
use Rheacid\View\Batches\DeviationScreen;

/** A limit that was not met: what to do, what was done, and what a lead decided. */
final class DeviationController
{
    public function show(Deviation $deviation): View
    {
        return view('batches.deviation', ['screen' => DeviationScreen::of($deviation)]);
    }

    public function act(Request $request, Deviation $deviation, RecordCorrectiveAction $record): RedirectResponse
    {
        $action = Sent::remark($request, 'action') ?? throw Refused::because('Type what was done.', 'action');
        $record(Sent::person($request), IdempotencyKey::from($request), $deviation, $action);

        return redirect()->route('deviations.show', $deviation)->with('done', 'Action recorded.');
    }

    public function dispose(Request $request, Deviation $deviation, DisposeDeviation $dispose): RedirectResponse
    {
        $request->validate(
            [
                'disposition' => ['required', Rule::enum(DispositionKind::class)],
                'authority' => ['nullable', 'string', 'max:200'],
                'until' => ['nullable', 'string', 'max:20'],
            ],
            ['disposition' => 'Choose what happens to the batch.'],
        );
        $authority = trim((string) $request->string('authority'));
        $person = $deviation->is_after_release === true ? Sent::passphrase($request) : Sent::person($request);
        $dispose(
            $person,
            IdempotencyKey::from($request),
            $deviation,
            DispositionKind::from((string) $request->string('disposition')),
            Sent::remark($request),
            $authority === '' ? null : $authority,
            $request->filled('until') ? TypedTime::read($request->string('until')->toString(), 'until') : null,
            Sent::remark($request, 'told'),
        );

        return redirect()->route('deviations.show', $deviation)->with('done', 'Decided.');
    }
}
