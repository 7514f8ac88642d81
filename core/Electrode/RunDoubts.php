<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/**
 * What makes a run doubtful though its points lie on a good line: time between them, or a jump since the run before.
 * The bounds are common practice, no source.
 */
final class RunDoubts
{
    /** Buffers read further apart than this tell of two states of the electrode. */
    public const MINUTES_APART = 15;

    /** A run that is no older tells what the electrode should do today. */
    public const DAYS = 7;

    /** Percentage points by which a sound electrode's slope does not change in a week. */
    public const SLOPE_PERCENT = 3.0;

    /** pH by which a sound electrode does not drift in a week. */
    public const AS_FOUND_PH = 0.1;

    /** Whether so much time lies between two points, in seconds, that they have to be asked about. */
    public static function isApart(float $seconds): bool
    {
        return !Numbers::atMost($seconds, self::MINUTES_APART * 60);
    }

    /** @param list<\DateTimeInterface> $taken when each point was taken, in order */
    public static function apart(array $taken): ?Finding
    {
        $longest = 0.0;
        for ($i = 1; $i < count($taken); $i++) {
            $longest = max($longest, (float) $taken[$i]->format('U.v') - (float) $taken[$i - 1]->format('U.v'));
        }

        return self::isApart($longest)
            ? new Finding(FindingCode::PointsApart, Severity::Caution, $longest / 60, self::MINUTES_APART)
            : null;
    }

    /**
     * What changed too much since the last sound run: new buffers or their temperature come into question before the electrode.
     *
     * @param CalibrationFit|null $before the last sound run of the week; null where there is none
     * @param bool $wasCleaned since that run: a cleaning changes slope and offset rightly
     *
     * @return list<Finding>
     */
    public static function changes(CalibrationFit $new, ?CalibrationFit $before, bool $wasCleaned): array
    {
        if ($before === null || $wasCleaned || !$before->hasMeasuredSlope()) {
            return [];
        }
        $slope = self::slopeChange($new, $before);
        $asFound = max(
            array_map(
                static fn(CalibrationPoint $point): float => abs($before->read($point->mv, $point->celsius)->ph - $point->bufferPh),
                $new->points,
            ),
        );

        return array_values(
            array_filter([
                Numbers::atMost(abs($slope), self::SLOPE_PERCENT)
                    ? null
                    : new Finding(FindingCode::SlopeJumped, Severity::Caution, $slope, self::SLOPE_PERCENT),
                Numbers::atMost($asFound, self::AS_FOUND_PH)
                    ? null
                    : new Finding(FindingCode::AsFoundJumped, Severity::Caution, $asFound, self::AS_FOUND_PH),
            ]),
        );
    }

    /** The change of slope that is largest, in percentage points, each stretch of pH compared with the same stretch before. */
    private static function slopeChange(CalibrationFit $new, CalibrationFit $before): float
    {
        $worst = 0.0;
        foreach ($new->hasMeasuredSlope() ? $new->segments : [] as $segment) {
            if (!Numbers::atLeast($segment->lengthPh(), Criteria::LEAST_SEGMENT_PH)) {
                continue;
            }
            $change = $segment->percent() - $before->segmentAt(($segment->fromPh + $segment->toPh) / 2)->percent();
            $worst = abs($change) > abs($worst) ? $change : $worst;
        }

        return $worst;
    }
}
