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

/** Leaves a run without a verdict. The points stay on record; the calibration before stays in force unless it was found off. */
final class LeaveRun
{
    public function __invoke(Person $by, IdempotencyKey $form, CalibrationRun $run, ?string $reason): RunEvent
    {
        return Recording::once($by, $form, 'leave a calibration run', RunEvent::class, static function (Entry $entry) use (
            $by,
            $run,
            $reason,
        ): RunEvent {
            $run = AcceptPoint::held(CalibrationRun::query()->lockForUpdate()->findOrFail($run->id), $by);
            $run->update(['state' => RunState::Abandoned, 'open_pair_id' => null]);

            return $entry->add(
                new RunEvent([
                    'calibration_run_id' => $run->id,
                    'pair_id' => $run->pair_id,
                    'kind' => 'left',
                    'person_id' => $by->id,
                    'at' => $entry->at,
                    'reason' => $reason,
                ]),
            );
        });
    }
}
