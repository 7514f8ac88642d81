<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Models\Batch;
use Rheacid\Models\BatchStepWait;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps that a step has not happened yet, with who said so and when. */
final class WaitForStep
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, string $step): BatchStepWait
    {
        return Recording::once($by, $form, 'say that a step has not happened yet', BatchStepWait::class, static function (
            Entry $entry,
        ) use ($by, $batch, $step): BatchStepWait {
            $batch = BatchMoves::ensure($batch, null);
            if (!in_array($step, $batch->missingSteps(), true)) {
                throw Refused::because('No limit of this batch depends on that step.', 'step');
            }

            return $entry->add(new BatchStepWait(['batch_id' => $batch->id, 'step' => $step, 'at' => $entry->at, 'person_id' => $by->id]));
        });
    }
}
