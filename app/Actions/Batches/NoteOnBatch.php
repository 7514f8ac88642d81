<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Models\Batch;
use Rheacid\Models\BatchNote;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Notes something about a batch. */
final class NoteOnBatch
{
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, string $note): BatchNote
    {
        return Recording::once(
            $by,
            $form,
            'note on a batch',
            BatchNote::class,
            static fn(Entry $entry): BatchNote => $entry->add(
                new BatchNote(['batch_id' => $batch->id, 'note' => $note, 'at' => $entry->at, 'person_id' => $by->id]),
            ),
        );
    }
}
