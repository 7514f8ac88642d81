<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Pair;
use Rheacid\Models\RunEvent;
use Rheacid\Models\RunState;
use Rheacid\Models\Site;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** A run that was left before its second point is abandoned, so that the pair is free again and nobody goes on with half of it. */
final class CloseStaleRun
{
    /**
     * Looked at once a minute, by the site.
     *
     * @return int how many were ended
     */
    public function __invoke(): int
    {
        $site = Site::current()?->person;
        if ($site === null) {
            return 0;
        }
        $closed = 0;
        foreach (CalibrationRun::query()->whereNotNull('open_pair_id')->has('points', '<', 2)->get() as $run) {
            if ($run->isStale()) {
                try {
                    Recording::once(
                        $site,
                        IdempotencyKey::own(),
                        'end a run that was left',
                        RunEvent::class,
                        static fn(Entry $entry): RunEvent => self::close($entry, $run->id)
                            ?? throw Refused::because('Somebody went on with it.'),
                    );
                    $closed++;
                } catch (Refused) {
                    // Its second point came in the same moment.
                }
            }
        }

        return $closed;
    }

    /** Before another run of the pair is begun. */
    public static function ofPair(Entry $entry, Pair $pair): void
    {
        $run = CalibrationRun::query()->where('open_pair_id', $pair->id)->first();
        if ($run !== null) {
            self::close($entry, $run->id);
        }
    }

    private static function close(Entry $entry, int $id): ?RunEvent
    {
        $run = CalibrationRun::query()->lockForUpdate()->findOrFail($id);
        if ($run->state !== RunState::Open || !$run->isStale()) {
            return null;
        }
        $run->update(['state' => RunState::Abandoned, 'open_pair_id' => null]);

        return $entry->add(
            new RunEvent([
                'calibration_run_id' => $run->id,
                'pair_id' => $run->pair_id,
                'kind' => 'abandoned',
                'person_id' => $entry->by->id,
                'at' => $entry->at,
                'reason' => new Statement(StatementCode::NoSecondPoint, ['minutes' => RunDoubts::MINUTES_APART]),
            ]),
        );
    }
}
