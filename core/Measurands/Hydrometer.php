<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

/**
 * What a hydrometer that was made for 20 °C would show at 20 °C, from what it shows at another temperature: the liquid is taken to
 * expand like water, which holds within 0.0005 (0.1 °Brix) for juice, must and wort between 10 and 30 °C (from memory).
 */
final class Hydrometer
{
    public const LOW_C = 10.0;
    public const HIGH_C = 30.0;
    private const MADE_FOR_C = 20.0;

    /** Density of water, kg/m³, 0–40 °C: M. Tanaka et al., Metrologia 38 (2001) 301; coefficients from memory, held against IAPWS. */
    public static function waterDensity(float $celsius): float
    {
        return 999.974950 * (1 - ($celsius - 3.983035) ** 2 * ($celsius + 301.797) / (522528.9 * ($celsius + 69.34881)));
    }

    /**
     * @param float $shown relative density
     * @param float $celsius of the liquid, 10–30 °C
     *
     * @throws HydrometerTooFar
     */
    public static function relativeDensity(float $shown, float $celsius): float
    {
        if ($celsius < self::LOW_C || $celsius > self::HIGH_C) {
            throw new HydrometerTooFar($celsius);
        }

        return $shown * self::waterDensity(self::MADE_FOR_C) / self::waterDensity($celsius);
    }

    /**
     * @param float $shown °Brix
     * @param float $celsius of the liquid, 10–30 °C
     *
     * @throws HydrometerTooFar
     */
    public static function brix(float $shown, float $celsius): float
    {
        return self::toBrix(self::relativeDensity(self::toRelativeDensity($shown), $celsius));
    }

    /** °Brix of a relative density 20/20: a cubic through the tables of sucrose, within 0.02 up to 40 °Brix; from memory. */
    public static function toBrix(float $density): float
    {
        return ((182.4601 * $density - 775.6821) * $density + 1262.7794) * $density - 669.5622;
    }

    private static function toRelativeDensity(float $brix): float
    {
        [$low, $high] = [0.9, 1.6];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            self::toBrix($middle) < $brix ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }
}
