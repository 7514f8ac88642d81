<?php

declare(strict_types=1);

namespace Rheacid\Actions;

use Rheacid\Bench\CellReading;
use Rheacid\Bench\Observation;
use Rheacid\Models\Trace;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;

/** Keeps what an immersion gave. One immersion serves one accepted value. */
final class KeepTrace
{
    /** @throws Refused where its immersion has served already */
    public static function ensureNew(Observation|CellReading $seen): void
    {
        if ($seen->immersionId !== null && Trace::query()->where('immersion_id', $seen->immersionId)->exists()) {
            throw Refused::because('This reading was already accepted. Rinse, blot, and move the electrode into the next cup.', 'cup');
        }
    }

    public static function of(Entry $entry, Observation|CellReading $seen): ?Trace
    {
        return $seen->trace === null
            ? null
            : $entry->add(new Trace(['immersion_id' => $seen->immersionId, 'points' => $seen->trace->points]));
    }
}
