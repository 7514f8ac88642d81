<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\StepDoubt;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\BatchStepWait;
use Rheacid\Models\Person;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Writes down when a batch was pitched, packed, acidified …: what the hours of its limits are counted from. */
final readonly class TakeStep
{
    public function __construct(private JudgeAnew $judgeAnew) {}

    /**
     * @param CarbonImmutable|null $at when it happened; now if null
     * @param string|null $reason asked where a lead records what nobody recorded in time
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        string $step,
        ?CarbonImmutable $at,
        ?string $reason = null,
    ): BatchStep {
        return Recording::once($by, $form, 'take a step', BatchStep::class, function (Entry $entry) use (
            $by,
            $batch,
            $step,
            $at,
            $reason,
        ): BatchStep {
            $batch = BatchMoves::ensure($batch, null);
            if ($step === ProductLimit::START) {
                throw Refused::because('The start is recorded with the batch.', 'step');
            }
            $stands = $batch->begun($step);
            if ($stands !== null && !StepDoubt::repeats($step)) {
                throw Refused::because(
                    sprintf('%s is already recorded (%s). A lead can change it, with a reason.', ucfirst($step), SiteClock::full($stands)),
                    'step',
                );
            }
            $at = $at === null ? $entry->at : BatchMoves::moment($batch, $at, $entry->at);
            $this->ensureSure($by, $batch, $step, $at, $entry->at, $reason);
            if ($batch->state() === BatchState::Planned) {
                BatchMoves::move($entry, $batch, BatchState::Running, new Statement(StatementCode::Begun));
            }
            $taken = $entry->add(
                new BatchStep([
                    'batch_id' => $batch->id,
                    'step' => $step,
                    'at' => $at,
                    'entered_at' => $entry->at,
                    'reason' => $reason,
                    'person_id' => $by->id,
                ]),
            );
            $this->judgeAnew->batch($entry, $batch, DecisionCause::StepChanged);

            return $taken;
        });
    }

    /** @throws Refused where only a lead may say so, with a reason */
    private function ensureSure(Person $by, Batch $batch, string $step, CarbonImmutable $at, CarbonImmutable $now, ?string $reason): void
    {
        $waits = array_values(
            BatchStepWait::query()
                ->where('batch_id', $batch->id)
                ->where('step', $step)
                ->orderBy('id')
                ->get()
                ->map(static fn(BatchStepWait $wait): CarbonImmutable => CarbonImmutable::instance($wait->at))
                ->all(),
        );
        $doubt
            = $batch->begun($step) === null
                ? StepDoubt::of($batch->countedSteps()[$step] ?? null, CarbonImmutable::instance($batch->started_at), $waits, $at, $now)
                : null;
        if ($doubt === null) {
            return;
        }
        if (!$by->may(Right::Lead)) {
            throw Refused::because($doubt->words(), 'step');
        }
        if ($reason === null) {
            throw Refused::because('Explain how you know the time: ' . lcfirst($doubt->words()), 'reason');
        }
    }
}
