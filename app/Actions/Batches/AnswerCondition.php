<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchAnswer;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/**
 * Answers a condition that limits of the product depend on: once by anybody, again by a lead with a reason. Everything is judged again by
 * it.
 */
final readonly class AnswerCondition
{
    public function __construct(private JudgeAnew $judgeAnew) {}

    /** @throws Refused */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        string $condition,
        bool $answer,
        ?string $reason = null,
    ): BatchAnswer {
        return Recording::once($by, $form, 'answer a condition', BatchAnswer::class, function (Entry $entry) use (
            $by,
            $batch,
            $condition,
            $answer,
            $reason,
        ): BatchAnswer {
            $batch = BatchMoves::locked($batch);
            if (!in_array($condition, $batch->asks(), true)) {
                throw Refused::because('No limit of this product depends on that.', 'condition');
            }
            if (array_key_exists($condition, $batch->conditions()) || !$batch->state()->isMeasured()) {
                Gate::forUser($by)->authorize(Right::Lead->value);
                if ($reason === null) {
                    throw Refused::because('This question was already answered. Give a reason to change the answer.', 'reason');
                }
            }
            $given = $entry->add(
                new BatchAnswer([
                    'batch_id' => $batch->id,
                    'condition' => $condition,
                    'answer' => $answer,
                    'reason' => $reason,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
            $this->judgeAnew->batch($entry, $batch, DecisionCause::AnswerChanged);

            return $given;
        });
    }
}
