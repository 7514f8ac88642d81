<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Person;
use Rheacid\Models\RunEvent;
use Rheacid\Models\RunState;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Takes a run out of another person's hands, with a reason. */
final class TakeOverRun
{
    /** @throws Refused without a reason, or if the run is closed */
    public function __invoke(Person $by, IdempotencyKey $form, CalibrationRun $run, ?string $reason): RunEvent
    {
        return Recording::once($by, $form, 'take over a calibration run', RunEvent::class, static function (Entry $entry) use (
            $by,
            $run,
            $reason,
        ): RunEvent {
            $run = CalibrationRun::query()->lockForUpdate()->findOrFail($run->id);
            if ($run->state !== RunState::Open) {
                throw Refused::because('This calibration has ended; there is nothing to take over.', 'run');
            }
            if ($reason === null) {
                throw Refused::because('Give a reason to take over.', 'reason');
            }
            $run->update(['holder_id' => $by->id, 'touched_at' => $entry->at]);

            return $entry->add(
                new RunEvent([
                    'calibration_run_id' => $run->id,
                    'pair_id' => $run->pair_id,
                    'kind' => 'taken-over',
                    'person_id' => $by->id,
                    'at' => $entry->at,
                    'reason' => $reason,
                ]),
            );
        });
    }
}
