<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Batches\AddToBatch;
use Rheacid\Actions\Batches\AnswerCondition;
use Rheacid\Actions\Batches\MoveBatch;
use Rheacid\Actions\Batches\NoteOnBatch;
use Rheacid\Actions\Batches\ReleaseBatch;
use Rheacid\Actions\Batches\StartBatch;
use Rheacid\Actions\Batches\TakeStep;
use Rheacid\Batches\Found;
use Rheacid\Board\Lines;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Guard\SignIn;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\StartRequest;
use Rheacid\Models\Batch;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;
use Rheacid\SiteClock;
use Rheacid\View\StartBatchScreen;

/** The life of a batch: begun, its steps, held and resumed, added to, released. */
final class BatchLifeController
{
    public function create(Request $request): View
    {
        return view('batches.create', ['screen' => StartBatchScreen::of($request->query('product'))]);
    }

    public function store(StartRequest $request, StartBatch $start): RedirectResponse
    {
        $batch = $start(Bench::person($request), IdempotencyKey::from($request), $request->product(), $request->code(), $request->string('vessel')->trim()->toString(), $request->string('size')->trim()->toString(), $request->startedAt(), $request->boolean('planned'), $request->parents());

        return redirect()->route('batches.show', $batch)->with('done', "$batch->code is on record.");
    }

    public function step(Request $request, Batch $batch, TakeStep $take): RedirectResponse
    {
        $request->validate(['step' => ['required', 'string', 'max:40'], 'at' => ['nullable', 'string', 'max:20']]);
        $step = $take(Bench::person($request), IdempotencyKey::from($request), $batch, $request->string('step')->trim()->toString(), $request->filled('at') ? SiteClock::typed($request->string('at')->toString(), 'at') : null);

        return redirect()->route('batches.show', $batch)->with('done', ucfirst((string) $step->step) . ': noted.');
    }

    public function answer(Request $request, Batch $batch, AnswerCondition $answer): RedirectResponse
    {
        $request->validate(['condition' => ['required', 'string', 'max:200'], 'answer' => ['required', Rule::in(['yes', 'no'])]]);
        $answer(Bench::person($request), IdempotencyKey::from($request), $batch, $request->string('condition')->toString(), $request->input('answer') === 'yes');

        return redirect()->route('batches.show', $batch)->with('done', 'The answer is kept.');
    }

    public function move(Request $request, Batch $batch, MoveBatch $move): RedirectResponse
    {
        $request->validate(['state' => ['required', Rule::enum(BatchState::class)]]);
        $event = $move(Bench::person($request), IdempotencyKey::from($request), $batch, BatchState::from((string) $request->string('state')), Bench::remark($request));

        return redirect()->route('batches.show', $batch)->with('done', "$batch->code is {$event->state->value}.");
    }

    public function note(Request $request, Batch $batch, NoteOnBatch $note): RedirectResponse
    {
        $text = Bench::remark($request, 'note') ?? throw Refused::because('Write the note.', 'note');
        $note(Bench::person($request), IdempotencyKey::from($request), $batch, $text);

        return redirect()->route('batches.show', $batch)->with('done', 'Noted.');
    }

    public function add(Request $request, Batch $batch, AddToBatch $add): RedirectResponse
    {
        Bench::takeCommas($request, 'amount');
        $request->validate(['what' => ['required', 'string', 'max:120'], 'amount' => ['required', 'numeric', 'gt:0', 'lt:1000000000'], 'unit' => ['required', 'string', 'max:20'], 'plan' => ['nullable', 'integer']], ['what.required' => 'What is added?', 'amount' => 'A number above 0 is accepted, like 2.5.', 'unit.required' => 'A unit is needed, like g, kg, mL or L.']);
        $plan = $request->filled('plan') ? Found::plan($request->integer('plan')) : null;
        $add(Bench::person($request), IdempotencyKey::from($request), $batch, $request->string('what')->trim()->toString(), $request->float('amount'), $request->string('unit')->trim()->toString(), $request->boolean('done'), $plan);

        return redirect()->route('batches.show', $batch)->with('done', $request->boolean('done') ? 'The addition is on record: measure again after it is mixed in.' : 'The addition is planned.');
    }

    public function release(Request $request, Batch $batch, ReleaseBatch $release): RedirectResponse
    {
        $person = Bench::person($request);
        $request->validate(['passphrase' => ['required', 'string', 'max:200']], ['passphrase.required' => 'Your passphrase is needed: a PIN does not release.']);
        if (!SignIn::isPassphrase($person, (string) $request->input('passphrase'))) {
            throw Refused::because('That is not your passphrase.', 'passphrase');
        }
        $release($person, IdempotencyKey::from($request), $batch, Bench::remark($request));

        return redirect()->route('batches.show', $batch)->with('done', "$batch->code is released.");
    }

    public function tag(Request $request, Batch $batch): View
    {
        return view('batches.tag', ['batch' => $batch, 'line' => Lines::batch($batch->id), 'isRounded' => $request->query('digits') === '1']);
    }
}
