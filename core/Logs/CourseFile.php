<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

use Rheacid\Core\Celsius;
use Rheacid\Core\Numbers;

/** A record of one temperature over hours or days, as a logger writes it or a person types it: time and °C or °F, one point a line. */
final class CourseFile
{
    private const LOWEST_C = -40.0;
    private const HIGHEST_C = 150.0;
    private const ACCEPTED = 'Use one point per line: date and time, then temperature, like 2026-11-25 08:00; 24.5. Seconds since the '
        . 'first line also work.';

    /**
     * @param \DateTimeImmutable $base what seconds and times of day are counted from
     * @param \DateTimeZone $zone in which days are written
     *
     * @return non-empty-list<array{int, float}> [seconds of the epoch, °C], times strictly increasing
     *
     * @throws LogRefused with its line
     */
    public static function read(string $bytes, \DateTimeImmutable $base, \DateTimeZone $zone, bool $isFahrenheit): array
    {
        try {
            $points = [];
            $before = null;
            foreach (LogTable::read($bytes)->rows as $line => $cells) {
                if (count($cells) < 2) {
                    throw LogRefused::line($line, 'no time and temperature.');
                }
                $at = self::moment($cells[0], $line, $base, $zone);
                if ($before !== null && $at <= $before) {
                    throw LogRefused::line($line, sprintf('time does not increase ("%s").', substr($cells[0], 0, 40)));
                }
                $before = $at;
                $shown = LogCell::number($cells[count($cells) - 1], $line, '°', -100.0, 400.0);
                $celsius = $isFahrenheit ? Celsius::ofFahrenheit($shown) : $shown;
                if (!Numbers::atLeast($celsius, self::LOWEST_C) || !Numbers::atMost($celsius, self::HIGHEST_C)) {
                    throw LogRefused::line(
                        $line,
                        sprintf('%s °C is not plausible for food or a room.', Numbers::plain(round($celsius, 1))),
                    );
                }
                $points[] = [$at, round($celsius, 3)];
            }

            return $points;
        } catch (LogRefused $refused) {
            throw $refused->accepting(self::ACCEPTED);
        }
    }

    private static function moment(string $cell, int $line, \DateTimeImmutable $base, \DateTimeZone $zone): int
    {
        if (preg_match('/^(\d{4}-\d{2}-\d{2})[T ](\d{2}:\d{2}(?::\d{2})?)$/D', $cell, $day) !== 1) {
            return $base->getTimestamp() + (int) round(LogCell::seconds($cell, $line));
        }
        $at = date_create_immutable("$day[1] $day[2]", $zone);
        // A day that does not exist is rolled on by PHP; it is refused here.
        if ($at === false || !str_starts_with($at->format('Y-m-d H:i:s'), "$day[1] $day[2]")) {
            throw LogRefused::line($line, sprintf('"%s" is no time.', $cell));
        }

        return $at->getTimestamp();
    }
}
