<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms;

use Rheacid\Core\Electrode\WrongSignal;
use Rheacid\Core\Failure;
use Rheacid\Core\Logs\LogRefused;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\Thermometry\ElevationNeeded;
use Rheacid\Core\Thermometry\ElevationOutOfRange;
use Rheacid\Core\Thermometry\ImpossibleReading;
use Rheacid\Core\Thermometry\LooksLikeFahrenheit;
use Rheacid\Core\Thermometry\LooksReduced;
use Rheacid\Core\Thermometry\PressureOutOfRange;
use Rheacid\Core\Thermometry\ResistanceOutOfRange;
use Rheacid\Core\Thermometry\UnknownToleranceClass;
use Rheacid\Records\Refused;

/** Beside which field of a form a failure is told. */
final class FieldOf
{
    /** @return string|null null where it concerns the whole form */
    public static function failure(Failure $failure): ?string
    {
        return match (true) {
            $failure instanceof Refused => $failure->field(),
            $failure instanceof LogRefused => 'log',
            $failure instanceof TemperatureOutOfRange => 'celsius',
            $failure instanceof WrongSignal => $failure->isMvNeeded ? 'mv' : 'shown_ph',
            $failure instanceof LooksReduced,
            $failure instanceof ElevationNeeded,
            $failure instanceof PressureOutOfRange,
            $failure instanceof ElevationOutOfRange
                => 'pressure',
            $failure instanceof LooksLikeFahrenheit => 'unit',
            $failure instanceof ImpossibleReading => 'readings',
            $failure instanceof ResistanceOutOfRange => 'ohm',
            $failure instanceof UnknownToleranceClass => 'tolerance_class',
            default => null,
        };
    }
}
