<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Measuring\Rinse;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\Measures;
use Rheacid\Models\Method;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Queries\Ready\LastCup;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Whether a pair and a thermometer can measure at all; what they are good for is judged later. */
final class MeasuringChecks
{
    /**
     * What clings to an electrode from an alkaline buffer raises an acid sample.
     *
     * @throws Refused at the field "rinsed"
     */
    public static function ensureRinsed(Pair $pair, DrawnSample $drawn): void
    {
        $last = $drawn->isRinsed === true ? null : LastCup::ph($pair->id);
        if (Rinse::isAsked($last)) {
            throw Refused::because(
                sprintf(
                    'The electrode was last in a buffer of pH %s. Rinse it with water, then with a little of the sample, and tick that it '
                        . 'is rinsed.',
                    Numbers::fixed((float) $last, 2),
                ),
                'rinsed',
            );
        }
    }

    /**
     * @return array{Calibration, Verification} on which they measure
     *
     * @throws Refused
     */
    public static function ensure(Pair $pair, Thermometer $thermometer, Method $method): array
    {
        self::ensureMeasuresPh($pair);
        self::ensureSuits($pair, $method);
        $calibration = $pair->newestCalibration;
        if ($calibration === null || !$calibration->calibrationFunction()->canTell()) {
            throw Refused::because('This pair has no calibration that could turn mV into pH. Calibrate it first.', 'pair');
        }
        if (in_array(Readiness::of($pair)->state, [PairState::OutOfUse, PairState::Retired], true)) {
            throw Refused::because('This electrode was taken out of use. Choose another pair.', 'pair');
        }
        $thermometerState = Thermometers::status($thermometer)->state;
        if ($thermometerState === ThermometerState::OutOfUse || $thermometerState === ThermometerState::Adjusted) {
            throw Refused::because(
                sprintf('This thermometer is %s. Choose another.', ThermometerWords::state($thermometerState, null)),
                'thermometer',
            );
        }

        return [
            $calibration,
            Thermometers::checkFor($thermometer, ($method->low_c + $method->high_c) / 2)
            ?? throw Refused::because('This thermometer was never checked. Choose another, or verify it first.', 'thermometer'),
        ];
    }

    /** @throws Refused where the method asks for another kind of electrode, and no lead allows this one */
    private static function ensureSuits(Pair $pair, Method $method): void
    {
        if ($method->matrix?->suits($pair->electrode->kind) === false && $method->other_electrodes !== true) {
            throw Refused::because(
                sprintf(
                    'This method asks for %s; %s is %s. Choose another pair. A lead can allow other electrodes in the method: their '
                        . 'readings then prove nothing.',
                    $method->matrix->asks(),
                    $pair->electrode->code,
                    $pair->electrode->kind->words(),
                ),
                'pair',
            );
        }
    }

    /** @throws Refused if the pair was parted, or does not measure pH */
    public static function ensureMeasuresPh(Pair $pair): void
    {
        if ($pair->parting !== null) {
            throw Refused::because(
                sprintf(
                    '%s and %s were separated %s. Use the pair that the electrode belongs to now.',
                    $pair->electrode->code,
                    $pair->meter->name,
                    SiteClock::short($pair->parting->at),
                ),
                'pair',
            );
        }
        if ($pair->electrode->measures !== Measures::Ph) {
            throw Refused::because(
                sprintf('%s measures %s; it is calibrated on its own page.', $pair->electrode->code, $pair->electrode->measures->words()),
                'pair',
            );
        }
    }
}
