<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\TemperatureOutOfRange;

/** What an ideal pH electrode does. */
final class Nernst
{
    /** Molar gas constant, J/(mol K). Source: SI Brochure, 9th edition (2019), exact product of k_B and N_A, as printed to ten digits. */
    public const GAS_CONSTANT = 8.314462618;

    /** Faraday constant, C/mol. Source: SI Brochure, 9th edition (2019). */
    public const FARADAY = 96485.33212;

    public const LOWEST_C = -5.0;
    public const HIGHEST_C = 130.0;

    /**
     * Ideal slope k(T) = R·T·ln 10/F in mV per pH, positive; 59.159350 at 25 °C. Valid from −5 to 130 °C.
     *
     * @throws TemperatureOutOfRange if the temperature is outside that range
     */
    public static function mvPerPh(float $celsius): float
    {
        if (!($celsius >= self::LOWEST_C && $celsius <= self::HIGHEST_C)) {
            throw new TemperatureOutOfRange($celsius, self::LOWEST_C, self::HIGHEST_C);
        }

        return 1000 * self::GAS_CONSTANT * self::kelvin($celsius) * M_LN10 / self::FARADAY;
    }

    public static function kelvin(float $celsius): float
    {
        return $celsius + 273.15;
    }

    /**
     * What an ideal electrode's meter shows minus the truth, in pH, when it compensates for another temperature than the
     * sample's: (pH − 7)·(T_sample/T_compensation − 1), temperatures in kelvin.
     */
    public static function compensationError(float $ph, float $sampleCelsius, float $compensationCelsius): float
    {
        return ($ph - 7) * (self::kelvin($sampleCelsius) / self::kelvin($compensationCelsius) - 1);
    }

    /** The pH behind what such a meter shows: compensationError taken away again. */
    public static function compensated(float $shownPh, float $sampleCelsius, float $compensationCelsius): float
    {
        return 7 + ($shownPh - 7) * self::kelvin($compensationCelsius) / self::kelvin($sampleCelsius);
    }
}
