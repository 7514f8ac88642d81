<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Illuminate\Support\Facades\Gate;
use Rheacid\Batches\Life;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Rights\Right;

/** Begins a planned batch, holds a running one, resumes a held one, closes one that has gone out. What leads out has its own acts. */
final class MoveBatch
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, BatchState $next, ?string $reason): BatchEvent
    {
        return Recording::once($by, $form, "make a batch $next->value", BatchEvent::class, static function (Entry $entry) use ($by, $batch, $next, $reason): BatchEvent {
            $batch = Life::ensure($batch, $next);
            $state = $batch->state();
            $isRecalled = $state === BatchState::Recalled;
            if ($next === BatchState::Recalled || $next === BatchState::Released || (!$isRecalled && in_array($next, [BatchState::Diverted, BatchState::Discarded], true))) {
                throw Refused::because('It goes out by a release, or by what a lead decides about its deviation; it is recalled by what a lead decides.', 'state');
            }
            if ($state === BatchState::Running && $next === BatchState::Closed && $batch->product->stage_of === null) {
                throw Refused::because('Only a stage of a process is closed without having gone out.', 'state');
            }
            $isResumed = $batch->state() === BatchState::Held && $next === BatchState::Running;
            if ($isResumed || $isRecalled || $next === BatchState::Closed) {
                Gate::forUser($by)->authorize(Right::Lead->value);
            }
            if (($next === BatchState::Held || $isResumed || $isRecalled) && $reason === null) {
                throw Refused::because(match (true) {
                    $isResumed => 'Write why it goes on.',
                    $isRecalled => 'Write why you decide so.',
                    default => 'Write why it is held.',
                }, 'reason');
            }
            if ($isResumed && Life::open($batch->id)->exists()) {
                throw Refused::because('A deviation is not decided about. Decide about it first.', 'state');
            }

            return Life::move($entry, $batch, $next, $reason);
        });
    }
}
