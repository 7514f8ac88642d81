<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/**
 * Compensation corrects the electrode, not the sample: a reading far from the temperature of its calibration is marked. Common practice,
 * no source.
 */
final class TemperatureGap
{
    private const FAR_C = 10.0;

    /**
     * @param float $celsius of the sample
     * @param float $calibratedAtCelsius mean of the buffers
     */
    public static function isFar(float $celsius, float $calibratedAtCelsius): bool
    {
        return !Numbers::atMost(abs($celsius - $calibratedAtCelsius), self::FAR_C);
    }
}
