<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Plans an addition to a batch, or writes down that it was made. */
final class AddToBatch
{
    /**
     * @param Addition|null $plan that is carried out with it
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        string $what,
        float $amount,
        string $unit,
        bool $isDone,
        ?Addition $plan = null,
    ): Addition {
        return Recording::once($by, $form, 'add to a batch', Addition::class, static function (Entry $entry) use (
            $by,
            $batch,
            $what,
            $amount,
            $unit,
            $isDone,
            $plan,
        ): Addition {
            BatchMoves::ensure($batch, null);
            if ($plan !== null && ($plan->batch_id !== $batch->id || Addition::query()->where('plan_id', $plan->id)->exists())) {
                throw Refused::because('This plan was already carried out or belongs to another batch.', 'plan');
            }

            return $entry->add(
                new Addition([
                    'batch_id' => $batch->id,
                    'plan_id' => $plan?->id,
                    'state' => $isDone ? Addition::DONE : Addition::PLANNED,
                    'what' => $what,
                    'amount' => $amount,
                    'unit' => $unit,
                    'rests_on' => [],
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
        });
    }
}
