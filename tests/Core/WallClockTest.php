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
    public function test_a_local_time_is_one_moment_two_or_none(string $shown, string $zone, array $moments): void
    {
        self::assertSame(
            $moments,
            array_map(
                static fn(\DateTimeImmutable $moment): string => $moment->format('Y-m-d H:i'),
                WallClock::of(new \DateTimeZone($zone))->moments($shown),
            ),
        );
    }

    public function test_an_ambiguous_local_time_gives_both_moments(): void
    {
        $dublin = WallClock::of(new \DateTimeZone('Europe/Dublin'));

        self::assertSame(
            [false, true, true, false],
            array_map(static fn(string $utc): bool => $dublin->isTwice(new \DateTimeImmutable("$utc UTC")), [
                '2026-10-24 23:59',
                '2026-10-25 00:00',
                '2026-10-25 01:59',
                '2026-10-25 02:00',
            ]),
        );
    }

    /** The site moves from Dublin to Tallinn (two hours more) at noon UTC on 1 July, and later to Lisbon (two hours less). */
    public function test_a_site_that_changed_its_time_zone_shows_each_time_in_the_zone_in_force_then(): void
    {
        $moves = new WallClock([
            [0, new \DateTimeZone('Europe/Dublin')],
            [(int) strtotime('2026-07-01 12:00 UTC'), new \DateTimeZone('Europe/Tallinn')],
            [(int) strtotime('2026-09-01 12:00 UTC'), new \DateTimeZone('Europe/Lisbon')],
        ]);
        $moments = static fn(string $shown): array => array_map(
            static fn(\DateTimeImmutable $moment): string => $moment->format('Y-m-d H:i'),
            $moves->moments($shown),
        );

        self::assertSame(
            ['Europe/Dublin', 'Europe/Tallinn', 'Europe/Lisbon'],
            array_map(static fn(string $utc): string => $moves->zone(new \DateTimeImmutable("$utc UTC"))->getName(), [
                '2026-07-01 11:59',
                '2026-07-01 12:00',
                '2026-09-01 12:00',
            ]),
        );
        self::assertSame(
            [['2026-07-01 11:30'], [], ['2026-07-01 12:00']],
            array_map($moments, ['2026-07-01 12:30', '2026-07-01 13:30', '2026-07-01 15:00']),
            'the clock was put forward by two hours at one',
        );
        self::assertSame(['2026-09-01 10:30', '2026-09-01 12:30'], $moments('2026-09-01 13:30'), 'and back by two at three');
        self::assertTrue($moves->isTwice(new \DateTimeImmutable('2026-09-01 12:30 UTC')));
        self::assertFalse($moves->isTwice(new \DateTimeImmutable('2026-09-01 14:30 UTC')));
    }
}
