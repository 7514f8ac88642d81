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

    public static function hasDecimalComma(): bool
    {
        return self::$decimalComma;
    }

    public static function isFahrenheitFirst(): bool
    {
        return self::$fahrenheitFirst;
    }
}
