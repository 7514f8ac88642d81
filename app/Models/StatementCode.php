<?php

declare(strict_types=1);

namespace Rheacid\Models;

/** What a sealed statement is about. A code is never changed or used again: records hold it. */
enum StatementCode: string
{
    case LimitJudged = 'limit-judged';
    case LimitHolds = 'limit-holds';
    case NotMeasured = 'not-measured';
    case DeadlineMissed = 'deadline-missed';
    case CourseJudged = 'course-judged';
    case DeadlineWarned = 'deadline-warned';
    case Begun = 'begun';
    case Released = 'released';
    case ReleasedUnmeasured = 'released-unmeasured';
    case GlassBroke = 'glass-broke';
    case NoSecondPoint = 'no-second-point';
    case Asked = 'asked';
    case Interval = 'interval';
    case IcePoint = 'ice-point';
    case IcePointResistance = 'ice-point-resistance';
    case BoilingByElevation = 'boiling-by-elevation';
    case BoilingByPressure = 'boiling-by-pressure';
    case BoilingByReducedPressure = 'boiling-by-reduced-pressure';
    case Comparison = 'comparison';
    case FromLibrary = 'from-library';
    case FromFile = 'from-file';
    case FromStandards = 'from-standards';
}
