<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Actions\Batches\BatchMoves;
use Rheacid\Models\Batch;
use Rheacid\Models\Occasion;
use Rheacid\Models\OccasionEnd;
use Rheacid\Models\Person;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Says that no more places of an occasion will be read: it is closed as incomplete, and only what lies outside a limit counts of it. */
final class EndOccasion
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Occasion $occasion, ?string $reason): OccasionEnd
    {
        return Recording::once($by, $form, 'end an occasion', OccasionEnd::class, static function (Entry $entry) use (
            $by,
            $occasion,
            $reason,
        ): OccasionEnd {
            $batch = BatchMoves::locked(Batch::query()->findOrFail($occasion->batch_id));
            $occasion->load(['measurements.sample', 'end']);
            if ($occasion->end !== null || OpenOccasions::lacking($occasion, $batch) === []) {
                throw Refused::because('This sample is complete or already closed.', 'occasion');
            }

            return $entry->add(
                new OccasionEnd(['occasion_id' => $occasion->id, 'reason' => $reason, 'at' => $entry->at, 'person_id' => $by->id]),
            );
        });
    }
}
