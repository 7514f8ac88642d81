<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Batches\Life;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Writes down that a batch was pitched, packed, acidified …: what the hours of its limits are counted from. */
final class TakeStep
{
    /**
     * @param CarbonImmutable|null $at when; now if null
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, string $step, ?CarbonImmutable $at): BatchStep
    {
        return Recording::once($by, $form, 'take a step', BatchStep::class, static function (Entry $entry) use ($by, $batch, $step, $at): BatchStep {
            $batch = Life::ensure($batch, null);
            if ($step === ProductLimit::START) {
                throw Refused::because('The start stands with the batch.', 'step');
            }
            if ($batch->state() === BatchState::Planned) {
                Life::move($entry, $batch, BatchState::Running, 'begun');
            }

            return $entry->add(new BatchStep(['batch_id' => $batch->id, 'step' => $step, 'at' => $at === null ? $entry->at : Life::moment($batch, $at, $entry->at), 'entered_at' => $entry->at, 'person_id' => $by->id]));
        });
    }
}
