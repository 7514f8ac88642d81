<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

/** A single cell of a log, read strictly: what is no time or no number is refused with its line. */
final class LogCell
{
    /** @throws LogRefused if it is no number, or outside what the quantity can be */
    public static function number(string $cell, int $line, string $unit, float $low, float $high): float
    {
        if (preg_match('/^[+-]?[0-9]{1,6}([.,][0-9]{1,9})?$/D', $cell) !== 1) {
            throw LogRefused::line($line, sprintf('"%s" is not a number in %s.', substr($cell, 0, 40), $unit));
        }
        $number = (float) str_replace(',', '.', $cell);
        if ($number < $low || $number > $high) {
            throw LogRefused::line($line, sprintf('%s %s is outside %s to %s.', $cell, $unit, $low, $high));
        }

        return $number;
    }

    /**
     * Seconds as a number, a time of day, or a day with a time.
     *
     * @throws LogRefused if it is none of these
     */
    public static function seconds(string $cell, int $line): float
    {
        if (preg_match('/^[0-9]{1,9}([.,][0-9]{1,6})?$/D', $cell) === 1) {
            return (float) str_replace(',', '.', $cell);
        }
        if (preg_match('/^([0-9]{1,3}):([0-5][0-9]):([0-5][0-9](?:[.,][0-9]{1,6})?)$/D', $cell, $clock) === 1) {
            return (int) $clock[1] * 3600 + (int) $clock[2] * 60 + (float) str_replace(',', '.', $clock[3]);
        }
        if (
            preg_match('/^[0-9]{4}-[0-9]{2}-[0-9]{2}[T ][0-9]{2}:[0-9]{2}:[0-9]{2}(\.[0-9]{1,6})?(Z|[+-][0-9]{2}:?[0-9]{2})?$/D', $cell)
            === 1
        ) {
            $at = date_create_immutable($cell, new \DateTimeZone('UTC'));

            return $at === false ? throw LogRefused::line($line, sprintf('"%s" is not a time.', $cell)) : (float) $at->format('U.u');
        }
        throw LogRefused::line($line, sprintf('"%s" is not a time. Use seconds, 12:34:56 or 2026-11-25 12:34:56.', substr($cell, 0, 40)));
    }
}
