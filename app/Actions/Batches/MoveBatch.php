<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Person;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Begins a planned batch, holds a running one, resumes a held one, closes one that has been released. What leads out has its own acts. */
final class MoveBatch
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, BatchState $next, ?string $reason): BatchEvent
    {
        return Recording::once($by, $form, "make a batch $next->value", BatchEvent::class, static function (Entry $entry) use (
            $by,
            $batch,
            $next,
            $reason,
        ): BatchEvent {
            $batch = BatchMoves::ensure($batch, $next);
            $state = $batch->state();
            $isRecalled = $state === BatchState::Recalled;
            if (
                $next === BatchState::Recalled
                || $next === BatchState::Released
                || (!$isRecalled && in_array($next, [BatchState::Diverted, BatchState::Discarded], true))
            ) {
                throw Refused::because(
                    'A batch is released under “Release checks”, or by a lead’s decision about its deviation. A recall is a lead’s '
                        . 'decision.',
                    'state',
                );
            }
            if ($state === BatchState::Running && $next === BatchState::Closed && $batch->product->stage_of === null) {
                throw Refused::because('Only a process stage can be closed without a release.', 'state');
            }
            $isResumed = $batch->state() === BatchState::Held && $next === BatchState::Running;
            if ($isResumed || $isRecalled || $next === BatchState::Closed) {
                Gate::forUser($by)->authorize(Right::Lead->value);
            }
            if (($next === BatchState::Held || $isResumed || $isRecalled) && $reason === null) {
                throw Refused::because(
                    match (true) {
                        $isResumed => 'Give a reason to resume.',
                        $isRecalled => 'Give a reason for the decision.',
                        default => 'Give a reason to hold the batch.',
                    },
                    'reason',
                );
            }
            if ($isResumed && BatchHistory::openDeviations($batch->id)->exists()) {
                throw Refused::because('A deviation is still open. Decide about it first.', 'state');
            }

            return BatchMoves::move($entry, $batch, $next, $reason);
        });
    }
}
