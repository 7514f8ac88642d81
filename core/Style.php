<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** How numbers and temperatures are written for people: with a point or a comma, in °C or with °F first. Nothing is computed by it. */
final class Style
{
    private static bool $decimalComma = false;

    private static bool $fahrenheitFirst = false;

    public static function use(bool $decimalComma, bool $fahrenheitFirst): void
    {
        self::$decimalComma = $decimalComma;
        self::$fahrenheitFirst = $fahrenheitFirst;
    }

    /**
     * Whether something is true in any of the four styles; the style in force is tried first and stays in force.
     *
     * @param callable(): bool $isTrue
     */
    public static function inAny(callable $isTrue): bool
    {
        [$comma, $fahrenheit] = [self::$decimalComma, self::$fahrenheitFirst];
        try {
            foreach ([[$comma, $fahrenheit], [!$comma, $fahrenheit], [$comma, !$fahrenheit], [!$comma, !$fahrenheit]] as $style) {
                self::use(...$style);
                if ($isTrue()) {
                    return true;
                }
            }

            return false;
        } finally {
            self::use($comma, $fahrenheit);
        }
    }

    public static function hasDecimalComma(): bool
    {
        return self::$decimalComma;
    }

    public static function isFahrenheitFirst(): bool
    {
        return self::$fahrenheitFirst;
    }
}
