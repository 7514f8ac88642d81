<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Rheacid\Core\Measuring\Rinse;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Measurement;

/** In which buffer the electrode of a pair stood last, if it read no food since. */
final class LastCup
{
    public static function ph(int $pairId): ?float
    {
        $run = CalibrationRun::query()->where('pair_id', $pairId)->orderByDesc('id')->value('id');
        $cups = array_filter([
            $run === null ? null : CalibrationPoint::query()->where('calibration_run_id', $run)->orderByDesc('id')->first(),
            ControlCheck::query()->where('pair_id', $pairId)->orderByDesc('id')->first(),
        ]);
        usort(
            $cups,
            static fn(CalibrationPoint|ControlCheck $a, CalibrationPoint|ControlCheck $b): int => [$b->at, (float) $b->buffer_ph] <=> [
                $a->at,
                (float) $a->buffer_ph,
            ],
        );
        $last = $cups[0] ?? null;
        if ($last === null || $last->at < CarbonImmutable::now()->subHours(Rinse::HOURS)) {
            return null;
        }
        $read = Measurement::query()->where('pair_id', $pairId)->orderByDesc('id')->first();

        return $read !== null && $read->observed_at > $last->at ? null : (float) $last->buffer_ph;
    }
}
