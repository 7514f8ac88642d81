<?php

declare(strict_types=1);

namespace Rheacid\Measure;

use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\Measures;
use Rheacid\Models\Method;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Records\Refused;
use Rheacid\Shelf\Readiness;
use Rheacid\Shelf\Thermometers;
use Rheacid\SiteClock;

/** Whether a pair and a thermometer can measure at all; what they are good for is judged later. */
final class Fit
{
    /**
     * @return array{Calibration, Verification} on which they measure
     *
     * @throws Refused
     */
    public static function ensure(Pair $pair, Thermometer $thermometer, Method $method): array
    {
        self::ensureMeasuresPh($pair);
        $calibration = $pair->newestCalibration;
        if ($calibration === null || !$calibration->calibrationFunction()->canTell()) {
            throw Refused::because('This pair has no calibration that could turn mV into pH. Calibrate it first.', 'pair');
        }
        if (in_array(Readiness::of($pair)->state, [PairState::OutOfUse, PairState::Retired], true)) {
            throw Refused::because('This electrode was taken out of use. Choose another pair.', 'pair');
        }
        $thermometerState = Thermometers::status($thermometer)->state;
        if ($thermometerState === ThermometerState::OutOfUse || $thermometerState === ThermometerState::Adjusted) {
            throw Refused::because(sprintf('This thermometer is %s. Choose another.', ThermometerWords::state($thermometerState, null)), 'thermometer');
        }

        return [$calibration, Thermometers::checkFor($thermometer, ($method->low_c + $method->high_c) / 2) ?? throw Refused::because('This thermometer was never checked. Choose another, or verify it first.', 'thermometer')];
    }

    /** @throws Refused if the pair was parted, or does not measure pH */
    public static function ensureMeasuresPh(Pair $pair): void
    {
        if ($pair->parting !== null) {
            throw Refused::because(sprintf('%s and %s were separated %s. Use the pair that the electrode belongs to now.', $pair->electrode->code, $pair->meter->name, SiteClock::short($pair->parting->at)), 'pair');
        }
        if ($pair->electrode->measures !== Measures::Ph) {
            throw Refused::because(sprintf('%s measures %s; it is calibrated on its own page.', $pair->electrode->code, $pair->electrode->measures->words()), 'pair');
        }
    }
}
