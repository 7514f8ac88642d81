<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\TemperatureOutOfRange;

/** Resistance of a platinum thermometer by Callendar and Van Dusen. Source: IEC 60751, clause 4, from memory with high certainty. */
final class Rtd
{
    public const A = 3.9083e-3;
    public const LOWEST_C = -200.0;
    public const HIGHEST_C = 850.0;

    private const B = -5.775e-7;

    /** Below 0 °C only. */
    private const C = -4.183e-12;

    /**
     * @param float $celsius −200 to 850 °C
     * @param float $r0 resistance at 0 °C in Ω, above 0
     *
     * @return float Ω
     *
     * @throws TemperatureOutOfRange
     */
    public static function ohm(float $celsius, float $r0 = 100.0): float
    {
        if ($celsius < self::LOWEST_C || $celsius > self::HIGHEST_C) {
            throw new TemperatureOutOfRange($celsius, self::LOWEST_C, self::HIGHEST_C);
        }

        return $r0 * (1 + self::A * $celsius + self::B * $celsius ** 2 + ($celsius < 0 ? self::C * ($celsius - 100) * $celsius ** 3 : 0));
    }

    /**
     * @param float $ohm what is measured
     *
     * @return float °C, −200 to 850
     *
     * @throws ResistanceOutOfRange if no such thermometer has that resistance
     */
    public static function celsius(float $ohm, float $r0 = 100.0): float
    {
        $low = self::ohm(self::LOWEST_C, $r0);
        $high = self::ohm(self::HIGHEST_C, $r0);
        if ($ohm < $low || $ohm > $high) {
            throw new ResistanceOutOfRange($ohm, $r0, $low, $high);
        }
        $celsius = (-self::A + sqrt(self::A ** 2 - 4 * self::B * (1 - $ohm / $r0))) / (2 * self::B);
        // Below 0 °C the equation is of the fourth degree: Newton's steps from the quadratic's answer.
        for ($i = 0; $celsius < 0 && $i < 50; $i++) {
            $slope = $r0 * (self::A + 2 * self::B * $celsius + self::C * (4 * $celsius ** 3 - 300 * $celsius ** 2));
            $step = ($ohm - $r0 * (1 + self::A * $celsius + self::B * $celsius ** 2 + self::C * ($celsius - 100) * $celsius ** 3)) / $slope;
            $celsius += $step;
            if (abs($step) < 1e-13 * max(1.0, abs($celsius))) {
                break;
            }
        }

        return $celsius;
    }
}
