<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What can be found about a calibration, in the order in which it is told. */
enum FindingCode: string
{
    case NoResponse = 'NO_RESPONSE';
    case SlopeReversed = 'SLOPE_REVERSED';
    case SlopeLow = 'SLOPE_LOW';
    case SlopeHigh = 'SLOPE_HIGH';
    case ZeroPointOff = 'ZERO_POINT_OFF';
    case OffsetOff = 'OFFSET_OFF';
    case ResidualHigh = 'RESIDUAL_HIGH';
    case CheckFailed = 'CHECK_FAILED';
    case Unsettled = 'UNSETTLED';

    // What the run says about itself beside its points: found where a run is kept, not by the job of the contract.
    case SlopeJumped = 'SLOPE_JUMPED';
    case AsFoundJumped = 'AS_FOUND_JUMPED';
    case NearTwin = 'NEAR_TWIN';
    case PointsApart = 'POINTS_APART';
    case TemperatureUnchecked = 'TEMPERATURE_UNCHECKED';
    case ResponseSlow = 'RESPONSE_SLOW';
    case SlopeNearLow = 'SLOPE_NEAR_LOW';
    case ZeroPointNear = 'ZERO_POINT_NEAR';
    case OnePoint = 'ONE_POINT';
    case SpanShort = 'SPAN_SHORT';
    case SegmentShort = 'SEGMENT_SHORT';
    case TemperatureSpread = 'TEMPERATURE_SPREAD';
    case NoCheck = 'NO_CHECK';
}
