<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** A lead states another time for a step that stands. The former stays; what was judged by it is judged again, after a release too. */
final readonly class ChangeStep
{
    public function __construct(private JudgeAnew $judgeAnew) {}

    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, BatchStep $step, CarbonImmutable $at, ?string $reason): BatchStep
    {
        return Recording::once(
            $by,
            $form,
            'change a step',
            BatchStep::class,
            function (Entry $entry) use ($by, $step, $at, $reason): BatchStep {
                $batch = BatchMoves::locked(Batch::query()->findOrFail($step->batch_id));
                if ($reason === null) {
                    throw Refused::because('Give a reason for the change.', 'reason');
                }
                if (!$batch->steps->contains(static fn(BatchStep $one): bool => $one->id === $step->id)) {
                    throw Refused::because('This step was already changed. Use the newer entry.', 'at');
                }
                $changed = $entry->add(
                    new BatchStep([
                        'batch_id' => $batch->id,
                        'step' => $step->step,
                        'at' => BatchMoves::moment($batch, $at, $entry->at),
                        'entered_at' => $entry->at,
                        'supersedes_id' => $step->id,
                        'reason' => $reason,
                        'person_id' => $by->id,
                    ]),
                );
                $this->judgeAnew->batch($entry, $batch, DecisionCause::StepChanged);

                return $changed;
            },
            Right::Lead,
        );
    }
}
