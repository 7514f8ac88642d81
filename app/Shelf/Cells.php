<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Pair;

/** The state of a conductivity or redox sensor, told in the same words as that of a pH pair. */
final class Cells
{
    public static function status(Pair $pair): PairStatus
    {
        $newest = $pair->newestCell;
        $care = $pair->electrode->careEvents;
        $incident = $newest === null ? null : $care->last(static fn(CareEvent $event): bool => $event->at > $newest->at && $event->kind->makesCalibrationDue());

        return PairStatus::at(
            CarbonImmutable::now(),
            $newest === null ? null : new CalibrationFacts($newest->verdict, $newest->due_at, false, $incident?->kind),
            Readiness::soakingUntil($care),
            Readiness::outOfUseBy($care),
        );
    }
}
