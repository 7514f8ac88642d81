<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Words\WallClock;

/** Changes of the clock as in the IANA time zone database, which PHP carries. */
final class WallClockTest extends TestCase
{
    /** @param list<string> $moments UTC */
    #[TestWith(['2026-07-01 12:00', 'Europe/Dublin', ['2026-07-01 11:00']])]
    #[TestWith(['2026-10-25 00:59', 'Europe/Dublin', ['2026-10-24 23:59']])]
    #[TestWith(['2026-10-25 01:30', 'Europe/Dublin', ['2026-10-25 00:30', '2026-10-25 01:30']])]
    #[TestWith(['2026-10-25 02:00', 'Europe/Dublin', ['2026-10-25 02:00']])]
    #[TestWith(['2026-03-29 01:30', 'Europe/Dublin', []])]
    #[TestWith(['2026-03-29 02:00', 'Europe/Dublin', ['2026-03-29 01:00']])]
    #[TestWith(['2026-11-01 01:15', 'America/New_York', ['2026-11-01 05:15', '2026-11-01 06:15']])]
    #[TestWith(['2026-03-08 02:15', 'America/New_York', []])]
    #[TestWith(['2026-04-05 01:45', 'Australia/Lord_Howe', ['2026-04-04 14:45', '2026-04-04 15:15']])]
    #[TestWith(['2026-10-25 01:30', 'UTC', ['2026-10-25 01:30']])]
    #[TestWith(['2026-10-25 01:30', 'Asia/Kolkata', ['2026-10-24 20:00']])]
    public function test_a_time_on_the_wall_is_one_moment_two_or_none(string $shown, string $zone, array $moments): void
    {
        self::assertSame($moments, array_map(static fn(\DateTimeImmutable $moment): string => $moment->format('Y-m-d H:i'), WallClock::moments($shown, new \DateTimeZone($zone))));
    }

    public function test_what_comes_twice_is_known_both_times(): void
    {
        $dublin = new \DateTimeZone('Europe/Dublin');

        self::assertSame([false, true, true, false], array_map(static fn(string $utc): bool => WallClock::isTwice(new \DateTimeImmutable("$utc UTC"), $dublin), ['2026-10-24 23:59', '2026-10-25 00:00', '2026-10-25 01:59', '2026-10-25 02:00']));
    }
}
