<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

use Rheacid\Core\DateTwice;
use Rheacid\Core\Electrode\BuffersTooNear;
use Rheacid\Core\Electrode\CompensationImpossible;
use Rheacid\Core\Electrode\NoSlope;
use Rheacid\Core\Electrode\PointCount;
use Rheacid\Core\Electrode\TemperaturesCancel;
use Rheacid\Core\Electrode\UnknownBuffer;
use Rheacid\Core\Failure;
use Rheacid\Core\Forecast\NowBeforeLastReading;
use Rheacid\Core\Limits\LowNotBelowHigh;
use Rheacid\Core\Limits\NameTwice;
use Rheacid\Core\Maths\TableNotIncreasing;
use Rheacid\Core\Maths\TooFewPoints;
use Rheacid\Core\Settling\NoSamples;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\Thermometry\ElevationOutOfRange;
use Rheacid\Core\Thermometry\IntervalTooLong;
use Rheacid\Core\Thermometry\PointsNotAscending;
use Rheacid\Core\Thermometry\PressureOutOfRange;
use Rheacid\Core\Thermometry\ResistanceOutOfRange;
use Rheacid\Core\Thermometry\ShortestAboveLongest;
use Rheacid\Core\Thermometry\UnknownToleranceClass;
use Rheacid\Core\TimesNotIncreasing;

/** Where in the JSON of the contract a failure of the core sits. */
final class FieldOf
{
    /** @return string|null null where it concerns the whole */
    public static function failure(Failure $failure): ?string
    {
        return match (true) {
            $failure instanceof Refusal => $failure->field,
            $failure instanceof DateTwice => "history[$failure->index].on",
            $failure instanceof BuffersTooNear, $failure instanceof TemperaturesCancel, $failure instanceof PointCount => 'points',
            $failure instanceof NoSlope => 'calibration',
            $failure instanceof CompensationImpossible => 'percent_per_c',
            $failure instanceof UnknownBuffer => 'buffer',
            $failure instanceof TemperatureOutOfRange => 'temperature_c',
            $failure instanceof TimesNotIncreasing => "samples[$failure->index]",
            $failure instanceof NoSamples => 'samples',
            $failure instanceof TooFewPoints => 'table',
            $failure instanceof TableNotIncreasing => "table[$failure->index]",
            $failure instanceof LowNotBelowHigh => 'low',
            $failure instanceof NameTwice => "limits[$failure->index].name",
            $failure instanceof NowBeforeLastReading => 'now_h',
            $failure instanceof PressureOutOfRange => 'pressure_kpa',
            $failure instanceof ElevationOutOfRange => 'elevation_m',
            $failure instanceof ResistanceOutOfRange => 'ohm',
            $failure instanceof ShortestAboveLongest => 'min_days',
            $failure instanceof PointsNotAscending => $failure->isReference ? 'high.reference_c' : 'high.reading_c',
            $failure instanceof IntervalTooLong => 'current_days',
            $failure instanceof UnknownToleranceClass => 'class',
            default => null,
        };
    }
}
