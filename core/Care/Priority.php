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
    case LookBack = 2;
    case FollowUp = 3;

    /** Without a pair in force nothing can be measured, so calibrating comes before the batches. */
    case CalibrateFirst = 4;
    case Measure = 5;
    case Calibrate = 6;
    case Cell = 7;
    case Verify = 8;
    case Soak = 9;
    case OthersWork = 10;
    case Care = 11;

    public static function ofCalibrating(bool $isAnyPairReady): self
    {
        return $isAnyPairReady ? self::Calibrate : self::CalibrateFirst;
    }
}
