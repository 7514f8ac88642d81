<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Models\DraftEvent;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Takes a measurement out of another person's hands, with a reason. */
final class TakeOverMeasuring
{
    /** @throws Refused without a reason, or if the measurement is closed */
    public function __invoke(Person $by, IdempotencyKey $form, MeasurementDraft $draft, ?string $reason): DraftEvent
    {
        return Recording::once($by, $form, 'take over a measurement', DraftEvent::class, static function (Entry $entry) use (
            $by,
            $draft,
            $reason,
        ): DraftEvent {
            $draft = MeasurementDraft::query()->lockForUpdate()->findOrFail($draft->id);
            if (!$draft->isOpen()) {
                throw Refused::because('This measurement has ended; there is nothing to take over.', 'draft');
            }
            if ($reason === null) {
                throw Refused::because('Give a reason to take over.', 'reason');
            }
            $draft->update(['holder_id' => $by->id]);

            return $entry->add(
                new DraftEvent([
                    'measurement_draft_id' => $draft->id,
                    'kind' => 'taken-over',
                    'person_id' => $by->id,
                    'at' => $entry->at,
                    'reason' => $reason,
                ]),
            );
        });
    }
}
