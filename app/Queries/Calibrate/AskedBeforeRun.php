<?php

declare(strict_types=1);

namespace Rheacid\Queries\Calibrate;

use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Queries\Ready\CareLog;

/** What is asked about a choice of bottles before a calibration is begun on them. */
final class AskedBeforeRun
{
    /**
     * @param non-empty-list<Lot> $lots
     * @param list<array{float, float}> $expected pH that today's batches will read
     *
     * @return list<RunQuestion>
     */
    public static function of(Pair $pair, array $lots, Lot $readBack, array $expected): array
    {
        $isNew = $pair->newestCalibration === null && CareLog::of($pair->electrode)->last(CareKind::Soak) === null;
        return RunQuestion::asked(
            array_map(static fn(Lot $lot): float => (float) $lot->nominal_ph, $lots),
            $expected,
            $isNew,
            in_array($readBack->id, array_column($lots, 'id'), true),
            in_array(true, array_column([...$lots, $readBack], 'kept_cold'), true),
            array_filter([...$lots, $readBack], Bottles::hasOneUseMore(...)) !== [],
        );
    }
}
