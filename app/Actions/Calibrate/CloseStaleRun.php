<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Pair;
use Rheacid\Models\RunEvent;
use Rheacid\Models\RunState;
use Rheacid\Records\Entry;
use Rheacid\Records\Statement;
use Rheacid\Records\StatementCode;

/** A run that nobody touched before its second point is abandoned, so that the pair is free again. */
final class CloseStaleRun
{
    public function __invoke(Entry $entry, Pair $pair): void
    {
        $minutes = (int) config('rheacid.abandon_run_after_minutes');
        $run = CalibrationRun::query()
            ->where('open_pair_id', $pair->id)
            ->where('touched_at', '<', $entry->at->subMinutes($minutes))
            ->has('points', '<', 2)
            ->lockForUpdate()
            ->first();
        if ($run !== null) {
            $run->update(['state' => RunState::Abandoned, 'open_pair_id' => null]);
            $entry->add(new RunEvent(['calibration_run_id' => $run->id, 'pair_id' => $run->pair_id, 'kind' => 'abandoned', 'person_id' => $entry->by->id, 'at' => $entry->at, 'reason' => new Statement(StatementCode::NoSecondPoint, ['minutes' => $minutes])]));
        }
    }
}
