<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/**
 * What Today puts first: the worst, then what is in hand, then what everything else waits for. Common practice, no source.
 */
enum Priority: int
{
    case HeldBatch = 0;
    case OwnWork = 1;
    case FollowUp = 2;

    /** Without a pair in force nothing can be measured, so calibrating comes before the batches. */
    case CalibrateFirst = 3;
    case Measure = 4;
    case Calibrate = 5;
    case Cell = 6;
    case Verify = 7;
    case Soak = 8;
    case OthersWork = 9;
    case Care = 10;

    public static function ofCalibrating(bool $isAnyPairReady): self
    {
        return $isAnyPairReady ? self::Calibrate : self::CalibrateFirst;
    }
}
