<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/**
 * Where pure water boils, by the saturation equation of region 4 of the IAPWS Industrial Formulation 1997 (IAPWS R7-97,
 * equation 31), and the pressure at an elevation by the International Standard Atmosphere (ISO 2533). Coefficients from
 * memory, checked against the general-purpose packages iapws and GNU units.
 */
final class BoilingPoint
{
    private const N = [
        0.11670521452767e4,
        -0.72421316703206e6,
        -0.17073846940092e2,
        0.1202082470247e5,
        -0.32325550322333e7,
        0.1491510861353e2,
        -0.48232657361591e4,
        0.40511340542057e6,
        -0.23855557567849,
        0.65017534844798e3,
    ];

    public const LEAST_KPA = 30.0;
    public const MOST_KPA = 110.0;
    public const LOWEST_M = -400.0;
    public const HIGHEST_M = 9000.0;

    /**
     * @param float $kpa station pressure, not reduced to sea level, 30 to 110 kPa
     *
     * @return float °C
     *
     * @throws PressureOutOfRange
     */
    public static function celsius(float $kpa): float
    {
        if ($kpa < self::LEAST_KPA || $kpa > self::MOST_KPA) {
            throw new PressureOutOfRange($kpa);
        }
        [$n1, $n2, $n3, $n4, $n5, $n6, $n7, $n8, $n9, $n10] = self::N;
        $beta = ($kpa / 1000) ** 0.25;
        $e = $beta ** 2 + $n3 * $beta + $n6;
        $f = $n1 * $beta ** 2 + $n4 * $beta + $n7;
        $g = $n2 * $beta ** 2 + $n5 * $beta + $n8;
        $d = (2 * $g) / (-$f - sqrt($f ** 2 - 4 * $e * $g));

        return ($n10 + $d - sqrt(($n10 + $d) ** 2 - 4 * ($n9 + $n10 * $d))) / 2 - 273.15;
    }

    /**
     * @param float $metres above sea level, −400 to 9000 m
     *
     * @return float kPa in a standard atmosphere; weather moves it by about ±2 kPa, or ±0.6 °C of boiling
     *
     * @throws ElevationOutOfRange
     */
    public static function kpaAt(float $metres): float
    {
        if ($metres < self::LOWEST_M || $metres > self::HIGHEST_M) {
            throw new ElevationOutOfRange($metres);
        }

        return 101.325 * (1 - 2.25577e-5 * $metres) ** 5.25588;
    }
}
