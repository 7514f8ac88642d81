<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

/** What a clock on the wall shows, and when: once a year an hour is left out, and once it comes twice. */
final class WallClock
{
    private const AROUND_S = 2 * 86_400;

    /**
     * @param string $shown a day and a time, YYYY-MM-DD HH:MM
     *
     * @return list<\DateTimeImmutable> the moments at which it shows that, in order: none in the hour that is left out, two in the one that comes twice
     */
    public static function moments(string $shown, \DateTimeZone $zone): array
    {
        $as = (new \DateTimeImmutable($shown, new \DateTimeZone('UTC')))->getTimestamp();
        $offsets = array_unique(array_column($zone->getTransitions($as - self::AROUND_S, $as + self::AROUND_S), 'offset'));
        $moments = [];
        foreach ($offsets === [] ? [$zone->getOffset(new \DateTimeImmutable("@$as"))] : $offsets as $offset) {
            $moment = new \DateTimeImmutable('@' . ($as - $offset));
            if ($zone->getOffset($moment) === $offset) {
                $moments[$moment->getTimestamp()] = $moment;
            }
        }
        ksort($moments);

        return array_values($moments);
    }

    /** Whether the clock shows the same again an hour before or after. */
    public static function isTwice(\DateTimeImmutable $moment, \DateTimeZone $zone): bool
    {
        return count(self::moments($moment->setTimezone($zone)->format('Y-m-d H:i'), $zone)) > 1;
    }
}
