<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

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

/** A lead fetches a batch back that had been released: whatever the cause, with what was told to whom. */
final class RecallBatch
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, ?string $reason, ?string $told): BatchEvent
    {
        return Recording::once(
            $by,
            $form,
            'recall a batch',
            BatchEvent::class,
            static function (Entry $entry) use ($batch, $reason, $told): BatchEvent {
                $batch = BatchMoves::ensure($batch, BatchState::Recalled);
                $why = match (true) {
                    !BatchHistory::hasGoneOut($batch) => ['state', "$batch->code was never released; there is nothing to recall."],
                    $reason === null => ['reason', 'Give a reason for the recall.'],
                    $told === null => ['told', 'Write who was informed of what.'],
                    default => null,
                };

                return $why === null
                    ? BatchMoves::move($entry, $batch, BatchState::Recalled, $reason, $told)
                    : throw Refused::because($why[1], $why[0]);
            },
            Right::Lead,
        );
    }
}
