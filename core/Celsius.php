<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** Temperatures as they are written for people: kept and computed in °C, and where the site says so with °F first. */
final class Celsius
{
    /** A difference of 1 °C in °F. */
    public const F_PER_C = 1.8;
    private const F_AT_ZERO = 32.0;

    /**
     * A temperature: 21.4 °C, or 70.5 °F (21.4 °C).
     *
     * @param int|null $decimals as many as it has where null
     */
    public static function at(float $celsius, ?int $decimals = null): string
    {
        $c = self::number($celsius, $decimals) . ' °C';

        return Style::isFahrenheitFirst() ? self::number(self::fahrenheit($celsius), $decimals) . " °F ($c)" : $c;
    }

    /** A difference of temperatures, an error or an uncertainty: 0.5 °C, or 0.9 °F (0.5 °C). */
    public static function by(float $kelvin, ?int $decimals = null): string
    {
        $c = self::number($kelvin, $decimals) . ' °C';

        return Style::isFahrenheitFirst() ? self::number($kelvin * self::F_PER_C, $decimals) . " °F ($c)" : $c;
    }

    /** From one temperature to another: 18 to 25 °C, or 64.4 to 77 °F (18 to 25 °C). */
    public static function between(float $low, float $high, ?int $decimals = null): string
    {
        $c = self::number($low, $decimals) . ' to ' . self::number($high, $decimals) . ' °C';

        return Style::isFahrenheitFirst()
            ? self::number(self::fahrenheit($low), $decimals) . ' to ' . self::number(self::fahrenheit($high), $decimals) . " °F ($c)"
            : $c;
    }

    /** In which a bare number is typed, and an axis counts. */
    public static function unit(): string
    {
        return Style::isFahrenheitFirst() ? '°F' : '°C';
    }

    /** What a field for a temperature accepts: °C, or with a unit, like 70.5 F. */
    public static function example(): string
    {
        return Style::isFahrenheitFirst()
            ? '°F, or with a unit, like ' . Numbers::fixed(21.4, 1) . ' C'
            : '°C, or with a unit, like ' . Numbers::fixed(70.5, 1) . ' F';
    }

    /** The bare number in that unit, as an axis or a field shows it. */
    public static function bare(float $celsius, ?int $decimals = null): string
    {
        return self::number(self::reading($celsius), $decimals);
    }

    /** A temperature in that unit, for an axis. */
    public static function reading(float $celsius): float
    {
        return Style::isFahrenheitFirst() ? self::fahrenheit($celsius) : $celsius;
    }

    /** A bare difference in that unit. */
    public static function bareBy(float $kelvin, ?int $decimals = null): string
    {
        return self::number(self::difference($kelvin), $decimals);
    }

    /** A difference in that unit, for an axis. */
    public static function difference(float $kelvin): float
    {
        return Style::isFahrenheitFirst() ? $kelvin * self::F_PER_C : $kelvin;
    }

    public static function fahrenheit(float $celsius): float
    {
        return $celsius * self::F_PER_C + self::F_AT_ZERO;
    }

    /** @return float °C */
    public static function ofFahrenheit(float $fahrenheit): float
    {
        return ($fahrenheit - self::F_AT_ZERO) / self::F_PER_C;
    }

    private static function number(float $value, ?int $decimals): string
    {
        // Numbers that were calculated in another unit end somewhere: a hundredth of a degree is more than any probe shows.
        return $decimals === null ? Numbers::plain(round($value, 2)) : Numbers::fixed($value, $decimals);
    }
}
