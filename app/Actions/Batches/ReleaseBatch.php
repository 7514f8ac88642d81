<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Core\Access\Right;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Words\ReleaseWords;
use Rheacid\Models\Batch;
use Rheacid\Models\Person;
use Rheacid\Models\ReleaseRecord;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Queries\Batches\FourEyesCheck;
use Rheacid\Queries\Batches\ReleaseReview;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Lets a batch go out: every binding limit met as its records stand now, by a lead who does not hold it. */
final class ReleaseBatch
{
    /** @throws Refused with what is missing */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, ?string $reason): ReleaseRecord
    {
        return Recording::once(
            $by,
            $form,
            'release a batch',
            ReleaseRecord::class,
            static function (Entry $entry) use ($by, $batch, $reason): ReleaseRecord {
                $batch = BatchMoves::ensure($batch, BatchState::Released);
                $outlet = ReleaseReview::of($batch, isExact: true);
                if (!$outlet->release->releasable) {
                    throw Refused::because(
                        'Not releasable yet. ' . implode(' ', [...$outlet->blocks, ...ReleaseWords::lacks($outlet->release)]),
                        'release',
                    );
                }
                if ($batch->state() === BatchState::Held && BatchHistory::hold($batch)?->person_id === $by->id) {
                    throw Refused::because('You held this batch yourself. Another lead must release it.', 'release');
                }
                $against = FourEyesCheck::against($by, $batch);
                if ($against !== null) {
                    throw Refused::because($against, 'release');
                }
                if ($outlet->isNothingMeasured() && $reason === null) {
                    throw Refused::because('No measured limit protects this batch. Give a reason for the release.', 'reason');
                }
                $met = $outlet->release->met;
                $release = $entry->add(
                    new ReleaseRecord([
                        'batch_id' => $batch->id,
                        'met' => $met,
                        'disposed' => [],
                        'removed' => $outlet->removed,
                        'nothing_measured' => $met === [],
                        'reason' => $reason,
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
                BatchMoves::move(
                    $entry,
                    $batch,
                    BatchState::Released,
                    match (true) {
                        $met === [] => new Statement(StatementCode::ReleasedUnmeasured, ['reason' => $reason]),
                        default => $reason ?? new Statement(StatementCode::Released, ['met' => $met]),
                    },
                );

                return $release;
            },
            Right::Lead,
        );
    }
}
