<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Batches;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Batches\AddToBatch;
use Rheacid\Actions\Batches\AnswerCondition;
use Rheacid\Actions\Batches\ChangeStep;
use Rheacid\Actions\Batches\ChooseRoute;
use Rheacid\Actions\Batches\MoveBatch;
use Rheacid\Actions\Batches\NoteOnBatch;
use Rheacid\Actions\Batches\RecallBatch;
use Rheacid\Actions\Batches\ReleaseBatch;
use Rheacid\Actions\Batches\StartBatch;
use Rheacid\Actions\Batches\TakeStep;
use Rheacid\Actions\Batches\WaitForStep;
use Rheacid\Actions\Measure\EndOccasion;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Http\Forms\Batches\StartRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\Occasion;
use Rheacid\Queries\Batches\Named;
use Rheacid\Queries\Board\Lines;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;
use Rheacid\View\Batches\StartBatchScreen;

/** The life of a batch: begun, its steps, held and resumed, added to, released. */
final class BatchLifeController
{
    public function create(Request $request): View
    {
        return view('batches.create', ['screen' => StartBatchScreen::of($request->query('product'))]);
    }

    public function store(StartRequest $request, StartBatch $start): RedirectResponse
    {
        $batch = $start(
            Sent::person($request),
            IdempotencyKey::from($request),
            $request->product(),
            $request->code(),
            $request->string('vessel')->trim()->toString(),
            $request->string('size')->trim()->toString(),
            $request->startedAt(),
            $request->boolean('planned'),
            $request->parents(),
            $request->chosenRoute(),
        );

        return redirect()
            ->route('batches.show', $batch)
            ->with('done', "$batch->code started.");
    }

    public function step(Request $request, Batch $batch, TakeStep $take): RedirectResponse
    {
        $request->validate([
            'step' => ['required', 'string', 'max:40'],
            'at' => ['nullable', 'string', 'max:20'],
            'when' => ['nullable', Rule::in(['now', 'then'])],
        ]);
        $isNow = $request->input('when') === 'now' || !$request->filled('at');
        $step = $take(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            $request->string('step')->trim()->toString(),
            $isNow ? null : TypedTime::read($request->string('at')->toString(), 'at'),
            Sent::remark($request),
        );

        return redirect()
            ->route('batches.show', $batch)
            ->with('done', ucfirst((string) $step->step) . ': noted.');
    }

    public function changeStep(Request $request, BatchStep $step, ChangeStep $change): RedirectResponse
    {
        $request->validate(['at' => ['required', 'string', 'max:20']], ['at.required' => 'Type the time of the step.']);
        $person = Sent::passphrase($request);
        $changed = $change(
            $person,
            IdempotencyKey::from($request),
            $step,
            TypedTime::read($request->string('at')->toString(), 'at'),
            Sent::remark($request),
        );

        return redirect()
            ->route('batches.show', $changed->batch_id)
            ->with('done', ucfirst((string) $changed->step) . ': time changed. Everything that depends on it was judged again.');
    }

    public function wait(Request $request, Batch $batch, WaitForStep $wait): RedirectResponse
    {
        $request->validate(['step' => ['required', 'string', 'max:40']]);
        $wait(Sent::person($request), IdempotencyKey::from($request), $batch, $request->string('step')->trim()->toString());

        return redirect()->route('batches.show', $batch)->with('done', 'Recorded: not yet.');
    }

    public function route(Request $request, Batch $batch, ChooseRoute $choose): RedirectResponse
    {
        $request->validate(['route' => ['required', 'string', 'max:120']], ['route' => 'Choose a process route.']);
        $choose(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            $request->string('route')->toString(),
            Sent::remark($request),
        );

        return redirect()->route('batches.show', $batch)->with('done', 'Route recorded. All readings were judged again.');
    }

    public function end(Request $request, Occasion $occasion, EndOccasion $end): RedirectResponse
    {
        $end(Sent::person($request), IdempotencyKey::from($request), $occasion, Sent::remark($request));

        return redirect()
            ->route('batches.show', $occasion->batch_id)
            ->with('done', 'Sample closed. Only values outside a limit count. Draw a fresh sample.');
    }

    public function answer(Request $request, Batch $batch, AnswerCondition $answer): RedirectResponse
    {
        $request->validate(['condition' => ['required', 'string', 'max:200'], 'answer' => ['required', Rule::in(['yes', 'no'])]]);
        $answer(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            $request->string('condition')->toString(),
            $request->input('answer') === 'yes',
            Sent::remark($request),
        );

        return redirect()->route('batches.show', $batch)->with('done', 'Answer recorded.');
    }

    public function move(Request $request, Batch $batch, MoveBatch $move): RedirectResponse
    {
        $request->validate(['state' => ['required', Rule::enum(BatchState::class)]]);
        $event = $move(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            BatchState::from((string) $request->string('state')),
            Sent::remark($request),
        );

        return redirect()
            ->route('batches.show', $batch)
            ->with('done', "$batch->code is {$event->state->value}.");
    }

    public function note(Request $request, Batch $batch, NoteOnBatch $note): RedirectResponse
    {
        $text = Sent::remark($request, 'note') ?? throw Refused::because('Type the note.', 'note');
        $note(Sent::person($request), IdempotencyKey::from($request), $batch, $text);

        return redirect()->route('batches.show', $batch)->with('done', 'Noted.');
    }

    public function add(Request $request, Batch $batch, AddToBatch $add): RedirectResponse
    {
        Sent::takeCommas($request, 'amount');
        $request->validate(
            [
                'what' => ['required', 'string', 'max:120'],
                'amount' => ['required', 'numeric', 'gt:0', 'lt:1000000000'],
                'unit' => ['required', 'string', 'max:20'],
                'plan' => ['nullable', 'integer'],
            ],
            [
                'what.required' => 'Type what is added.',
                'amount' => 'Type a number above 0, like 2.5.',
                'unit.required' => 'Type a unit, like g, kg, mL or L.',
            ],
        );
        $plan = $request->filled('plan') ? Named::plan($request->integer('plan')) : null;
        $add(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            $request->string('what')->trim()->toString(),
            $request->float('amount'),
            $request->string('unit')->trim()->toString(),
            $request->boolean('done'),
            $plan,
        );

        return redirect()
            ->route('batches.show', $batch)
            ->with('done', $request->boolean('done') ? 'Addition recorded. Measure again after mixing.' : 'Addition planned.');
    }

    public function release(Request $request, Batch $batch, ReleaseBatch $release): RedirectResponse
    {
        $person = Sent::passphrase($request);
        $release($person, IdempotencyKey::from($request), $batch, Sent::remark($request));

        return redirect()
            ->route('batches.show', $batch)
            ->with('done', "$batch->code is released.");
    }

    public function recall(Request $request, Batch $batch, RecallBatch $recall): RedirectResponse
    {
        $recall(
            Sent::passphrase($request),
            IdempotencyKey::from($request),
            $batch,
            Sent::remark($request),
            Sent::remark($request, 'told'),
        );

        return redirect()
            ->route('batches.show', $batch)
            ->with('done', "$batch->code is recalled.");
    }

    public function tag(Request $request, Batch $batch): View
    {
        return view('batches.tag', [
            'batch' => $batch,
            'line' => Lines::batch($batch->id),
            'isRounded' => $request->query('digits') === '1',
        ]);
    }
}
