<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** Calendar days as numbers that can be subtracted. */
final class Days
{
    public const IN_A_YEAR = 365.25;

    /** @param string $date YYYY-MM-DD */
    public static function number(string $date): int
    {
        return intdiv((new \DateTimeImmutable($date, new \DateTimeZone('UTC')))->getTimestamp(), 86400);
    }

    public static function date(int $number): string
    {
        return gmdate('Y-m-d', $number * 86400);
    }

    /**
     * Rows of a history in the order of time.
     *
     * @template T
     *
     * @param non-empty-list<T> $rows
     * @param callable(T): string $on
     *
     * @return non-empty-list<T>
     *
     * @throws DateTwice if a date appears twice
     */
    public static function sorted(array $rows, callable $on): array
    {
        $byDate = [];
        foreach ($rows as $i => $row) {
            if (isset($byDate[$on($row)])) {
                throw new DateTwice($on($row), $i);
            }
            $byDate[$on($row)] = $row;
        }
        ksort($byDate);

        return array_values($byDate);
    }
}
