<?php

declare(strict_types=1);

namespace Rheacid\Queries\Calibrate;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\NearTwin;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\PointKind;
use Rheacid\Queries\Ready\DoubtRecords;

/** Which response of the electrode is used for what while a run is under way. */
final class RunFits
{
    /** Before a run no more are looked through for a sound one. */
    private const LOOKS_AT = 12;

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

    /**
     * The pair's last sound runs, by which a near twin in the cup is told.
     *
     * @return list<CalibrationFit> newest first
     */
    public static function lastRuns(CalibrationRun $run, CarbonImmutable $now): array
    {
        $fits = [];
        foreach (self::newest($run) as $calibration) {
            if (self::isSound($calibration, $now) && ($fit = $calibration->fitted()) !== null && count($fits) < NearTwin::RUNS) {
                $fits[] = $fit;
            }
        }

        return $fits;
    }

    /**
     * The last sound run of the week: not failed, not voided, and with no doubt left. One that is in doubt reaches the week
     * before it, so that the same fault twice does not confirm itself.
     */
    public static function lastSound(CalibrationRun $run, CarbonImmutable $now): ?Calibration
    {
        $reaches = $now;
        foreach (self::newest($run) as $calibration) {
            if ($calibration->at < $reaches->subDays(RunDoubts::DAYS)) {
                return null;
            }
            if (self::isSound($calibration, $now)) {
                return $calibration;
            }
            // A failed one says nothing; one that is only in doubt may be right.
            $reaches = $calibration->verdict === Verdict::Fail ? $reaches : CarbonImmutable::instance($calibration->at);
        }

        return null;
    }

    /** @return Collection<int, Calibration> of the pair before the run, newest first */
    private static function newest(CalibrationRun $run): Collection
    {
        return Calibration::query()
            ->with(['points', 'void', 'policy', 'pair'])
            ->where('pair_id', $run->pair_id)
            ->where('at', '<=', $run->opened_at)
            ->orderByDesc('at')
            ->limit(self::LOOKS_AT)
            ->get();
    }

    private static function isSound(Calibration $calibration, CarbonImmutable $now): bool
    {
        return $calibration->verdict !== Verdict::Fail
            && $calibration->void === null
            && !$calibration->isUncertain()
            && DoubtRecords::of($calibration, $now)->areLifted();
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
