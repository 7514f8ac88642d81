<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Batches\Life;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchAnswer;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Answers a condition that limits of the product hang on. An answer that is given again takes the place of the one before. */
final class AnswerCondition
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, string $condition, bool $answer): BatchAnswer
    {
        return Recording::once($by, $form, 'answer a condition', BatchAnswer::class, static function (Entry $entry) use ($by, $batch, $condition, $answer): BatchAnswer {
            $batch = Life::ensure($batch, null);
            if (!in_array($condition, $batch->product->asks(), true)) {
                throw Refused::because('Nothing of this product hangs on that.', 'condition');
            }

            return $entry->add(new BatchAnswer(['batch_id' => $batch->id, 'condition' => $condition, 'answer' => $answer, 'at' => $entry->at, 'person_id' => $by->id]));
        });
    }
}
