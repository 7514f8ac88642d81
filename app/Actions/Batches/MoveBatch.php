<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Move;
use Rheacid\Core\Batches\MoveRefused;
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
            $move = new Move($batch->state(), $next);
            $refused = $move->refused(
                $batch->product->stage_of !== null,
                $move->resumes() && BatchHistory::openDeviations($batch->id)->exists(),
            );
            if ($refused !== null) {
                throw Refused::because(self::words($refused), 'state');
            }
            if ($move->needsLead()) {
                Gate::forUser($by)->authorize(Right::Lead->value);
            }
            if ($move->needsReason() && $reason === null) {
                throw Refused::because(
                    match (true) {
                        $move->resumes() => 'Give a reason to resume.',
                        $move->isOfRecalled() => 'Give a reason for the decision.',
                        default => 'Give a reason to hold the batch.',
                    },
                    'reason',
                );
            }

            return BatchMoves::move($entry, $batch, $next, $reason);
        });
    }

    private static function words(MoveRefused $why): string
    {
        return match ($why) {
            MoveRefused::HasItsOwnAct
                => 'A batch is released under “Release checks”, or by a lead’s decision about its deviation. A recall is a lead’s '
                    . 'decision.',
            MoveRefused::NotReleased => 'Only a process stage can be closed without a release.',
            MoveRefused::DeviationOpen => 'A deviation is still open. Decide about it first.',
        };
    }
}
