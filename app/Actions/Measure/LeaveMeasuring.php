<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Models\DraftEvent;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Ends a measurement without a reading. Sample and portions stay on record. */
final class LeaveMeasuring
{
    public function __invoke(Person $by, IdempotencyKey $form, MeasurementDraft $draft, ?string $reason): DraftEvent
    {
        return Recording::once($by, $form, 'leave a measurement', DraftEvent::class, static function (Entry $entry) use (
            $by,
            $draft,
            $reason,
        ): DraftEvent {
            $draft = AcceptReplicate::held(MeasurementDraft::query()->lockForUpdate()->findOrFail($draft->id), $by);
            $draft->update(['state' => 'left', 'open_pair_id' => null]);

            return $entry->add(
                new DraftEvent([
                    'measurement_draft_id' => $draft->id,
                    'kind' => 'left',
                    'person_id' => $by->id,
                    'at' => $entry->at,
                    'reason' => $reason,
                ]),
            );
        });
    }
}
