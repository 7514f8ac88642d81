<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\DispositionKind;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Models\Deviation;
use Rheacid\Models\Disposition;
use Rheacid\Models\Person;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** A lead decides about a deviation: the batch goes on, is diverted or discarded; one that had been released is recalled, or it stands. */
final readonly class DisposeDeviation
{
    public function __construct(private JudgeAnew $judgeAnew) {}

    /**
     * @param string|null $authority a process authority's written word, where one is needed
     * @param CarbonImmutable|null $until by when the missed limit has to be met now, where more time is given
     * @param string|null $told of a recall: who was told what
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Deviation $deviation,
        DispositionKind $kind,
        ?string $reason,
        ?string $authority,
        ?CarbonImmutable $until = null,
        ?string $told = null,
    ): Disposition {
        return Recording::once(
            $by,
            $form,
            'decide about a deviation',
            Disposition::class,
            function (Entry $entry) use ($by, $deviation, $kind, $reason, $authority, $until, $told): Disposition {
                $batch = BatchMoves::locked($deviation->batch);
                $isAfterRelease = $deviation->is_after_release === true;
                $next = $kind === DispositionKind::Recall && $batch->state() === BatchState::Recalled ? null : $kind->leadsTo();
                $isMissed = $deviation->is_missed_in_time === true;
                $why = match (true) {
                    $deviation->disposition()->exists() => ['disposition', 'This deviation is already decided.'],
                    !in_array($kind, DispositionKind::about($isAfterRelease), true) => [
                        'disposition',
                        $isAfterRelease
                            ? 'The batch was already released: recall it or let it stand.'
                            : 'The batch is not released: resume, divert or discard it.',
                    ],
                    $reason === null => ['reason', 'Give a reason for the decision.'],
                    $authority === null && $kind->needsAuthority($isMissed, $deviation->kind ?? LimitKind::Critical) => [
                        'authority',
                        'A critical time limit was missed, and toxin that has formed stays. Divert or discard the batch, or name the '
                            . 'process authority whose written statement allows it to go on.',
                    ],
                    $until !== null && ($kind !== DispositionKind::GoOn || !$isMissed) => [
                        'until',
                        'A new deadline is possible only if a deadline was missed and the batch is resumed.',
                    ],
                    $until !== null && $until->lessThanOrEqualTo($entry->at) => ['until', 'The new deadline must be in the future.'],
                    $kind === DispositionKind::Recall && $told === null => ['told', 'Write who was informed of what.'],
                    default => null,
                };
                if ($why !== null) {
                    throw Refused::because($why[1], $why[0]);
                }
                BatchMoves::ensureMay($batch, $next);
                $disposition = $entry->add(
                    new Disposition([
                        'deviation_id' => $deviation->id,
                        'disposition' => $kind,
                        'reason' => $reason,
                        'authority' => $authority,
                        'until_at' => $until,
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
                if ($next !== null) {
                    BatchMoves::move($entry, $batch, $next, $reason, $told);
                } elseif ($kind === DispositionKind::GoOn && $isMissed) {
                    $late = BatchHistory::late($batch->id)[(string) $deviation->limit_name] ?? [];
                    $this->judgeAnew->late($entry, $late, DecisionCause::Disposed);
                }

                return $disposition;
            },
            Right::Lead,
        );
    }
}
