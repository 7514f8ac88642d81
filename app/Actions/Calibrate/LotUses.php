<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\LotEvent;
use Rheacid\Models\LotUse;
use Rheacid\Records\Entry;

/** What the use of a bottle leaves on record. */
final class LotUses
{
    /**
     * A bottle loses one use per run, at its first immersion.
     *
     * @return list<LotEvent|LotUse> to be kept; empty where it was counted before
     */
    public static function needed(CalibrationRun $run, Lot $lot): array
    {
        $use = new LotUse(['lot_id' => $lot->id, 'calibration_run_id' => $run->id]);

        return LotUse::query()->where($use->getAttributes())->exists() ? [] : [...self::opened($lot), $use];
    }

    /** @return list<LotEvent> a bottle that is used is open, whether anybody said so or not */
    public static function opened(Lot $lot): array
    {
        return $lot->openedOn() === null
            ? [new LotEvent(['lot_id' => $lot->id, 'kind' => BottleEvent::Opened, 'note' => 'first use'])]
            : [];
    }

    /** @param list<LotEvent|LotUse> $needed */
    public static function keep(Entry $entry, array $needed): ?Model
    {
        $last = null;
        foreach ($needed as $one) {
            $last = $entry->add(
                $one->fill($one instanceof LotEvent ? ['at' => $entry->at, 'person_id' => $entry->by->id] : ['at' => $entry->at]),
            );
        }

        return $last;
    }
}
