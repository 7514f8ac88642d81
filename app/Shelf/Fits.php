<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\PointKind;

/** Which response of the electrode is used for what while a run is under way. */
final class Fits
{
    /** The calibration before this run, by which a buffer is read as found; null where none was usable. */
    public static function before(CalibrationRun $run): ?CalibrationFit
    {
        $newest = Calibration::query()->where('pair_id', $run->pair_id)->where('at', '<', $run->opened_at)->orderByDesc('at')->first();
        if ($newest === null || $newest->verdict === Verdict::Fail) {
            return null;
        }
        $fit = $newest->fitted();

        return $fit !== null && $fit->hasSlope() ? $fit : null;
    }

    /** The new response, once every buffer of the run has been fitted; null where the meter keeps it to itself. */
    public static function new(CalibrationRun $run): ?CalibrationFit
    {
        if (!$run->pair->meter->shows_mv) {
            return null;
        }
        $planned = count(array_filter($run->plan(), static fn(array $station): bool => $station['kind'] === PointKind::Fit->value));
        $points = CalibrationPoint::ofKind($run->points, fitted: true);

        return count($points) === $planned ? CalibrationFit::through($points, $run->fit) : null;
    }

    /** What settling is judged by: the new response when there is one, else the one before, else an ideal electrode. */
    public static function judging(CalibrationRun $run): ?CalibrationFit
    {
        $new = self::new($run);

        return $new !== null && $new->hasSlope() ? $new : self::before($run);
    }
}
