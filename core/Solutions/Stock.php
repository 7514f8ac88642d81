<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** Whether what there is of one solution lasts for the month ahead. Common practice, no source. */
enum Stock: string
{
    case Lasts = 'lasts';
    case UsesRunOut = 'uses-run-out';
    case Expires = 'expires';
    case Gone = 'gone';

    private const DAYS = 30;

    /**
     * @param list<BottleStatus> $bottles of one solution
     * @param int $usesOfLastMonth in the 30 days before
     * @param string $today YYYY-MM-DD
     */
    public static function of(array $bottles, int $usesOfLastMonth, string $today): self
    {
        $usable = array_filter(
            $bottles,
            static fn(BottleStatus $bottle): bool => $bottle->spent === null || $bottle->spent === Spent::NotMadeUp,
        );
        $monthsEnd = (new \DateTimeImmutable($today))->modify(sprintf('+%d days', self::DAYS))->format('Y-m-d');
        $lasting = array_filter($usable, static fn(BottleStatus $bottle): bool => $bottle->usableUntil > $monthsEnd);
        $isCounted = array_filter($usable, static fn(BottleStatus $bottle): bool => $bottle->usesLeft === null) === [];

        return match (true) {
            $usable === [] => self::Gone,
            $lasting === [] => self::Expires,
            $isCounted && array_sum(array_column($usable, 'usesLeft')) < $usesOfLastMonth => self::UsesRunOut,
            default => self::Lasts,
        };
    }

    /** How many days back the uses are counted that the month ahead is expected to need too. */
    public static function days(): int
    {
        return self::DAYS;
    }
}
