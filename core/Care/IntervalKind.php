<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** What a calibration is good for. */
enum IntervalKind: string
{
    /** Before each use or session: until the electrode is stored again, at most to the end of the day. */
    case EachUse = 'each-use';
    case Daily = 'daily';
    case Hours = 'hours';
    case Days = 'days';

    /** So many readings, and at most a month. */
    case Readings = 'readings';
}
