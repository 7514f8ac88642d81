<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Models\CorrectiveAction;
use Rheacid\Models\Deviation;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Writes down what was done about a deviation. */
final class RecordCorrectiveAction
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Deviation $deviation, string $action): CorrectiveAction
    {
        return Recording::once($by, $form, 'act on a deviation', CorrectiveAction::class, static function (Entry $entry) use (
            $by,
            $deviation,
            $action,
        ): CorrectiveAction {
            BatchMoves::ensure($deviation->batch, null);

            return $entry->add(
                new CorrectiveAction(['deviation_id' => $deviation->id, 'action' => $action, 'at' => $entry->at, 'person_id' => $by->id]),
            );
        });
    }
}
