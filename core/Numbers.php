<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** The one place that says how measured numbers are compared and written. */
final class Numbers
{
    /** Allowance in favour of meeting a limit, so that 4.6 − 4.5 against 0.1 is what a person expects. */
    public const TOLERANCE = 1e-9;

    public static function atMost(float $value, float $limit): bool
    {
        return $value <= $limit + self::TOLERANCE;
    }

    public static function atLeast(float $value, float $limit): bool
    {
        return $value >= $limit - self::TOLERANCE;
    }

    /** As a person writes it: 25, 7.02, −0.5. */
    public static function plain(float $value): string
    {
        $text = rtrim(rtrim(sprintf('%.6F', $value), '0'), '.');

        return self::styled($text === '-0' ? '0' : $text);
    }

    /** With a fixed number of decimals and a true minus sign, for showing only: a limit always judges the unrounded value. */
    public static function fixed(float $value, int $decimals): string
    {
        $text = sprintf('%.' . $decimals . 'F', $value);

        return self::styled(preg_match('/^-0(\.0*)?$/', $text) === 1 ? substr($text, 1) : $text);
    }

    /** Text that somebody typed, like "2.0–2.5 %", with the decimal sign of the site. */
    public static function asTyped(string $text): string
    {
        return Style::hasDecimalComma() ? (string) preg_replace('/(?<=\d)\.(?=\d)/', ',', $text) : $text;
    }

    /** With a true minus sign, and with the decimal sign of the site. */
    private static function styled(string $number): string
    {
        return str_replace(['-', '.'], ['−', Style::hasDecimalComma() ? ',' : '.'], $number);
    }
}
