<?php

declare(strict_types=1);

namespace Tests\Forms;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Http\Forms\Measure\PaperLines;
use Rheacid\Http\Forms\TypedTime;

/** Times and readings from paper, as they are typed. */
final class TypedTimeTest extends FormTestCase
{
    /** @return iterable<string, array{string, string}> typed on the clock of the site, and the moment */
    public static function times(): iterable
    {
        yield 'winter' => ['2026-11-24 09:40', '2026-11-24T08:40:00Z'];
        yield 'summer, as a picker sends it' => ['2026-07-01T09:40', '2026-07-01T07:40:00Z'];
        yield 'the first of the hour that comes twice' => ['2026-10-25 02:30 first', '2026-10-25T00:30:00Z'];
        yield 'the second' => ['2026-10-25 02:30 second', '2026-10-25T01:30:00Z'];
    }

    #[DataProvider('times')]
    public function test_a_time_is_read_on_the_clock_of_the_site(string $typed, string $moment): void
    {
        self::assertSame($moment, TypedTime::read($typed)->format('Y-m-d\TH:i:sp'));
    }

    /** @return iterable<string, array{string, string}> typed, and a word of what is told */
    public static function noTimes(): iterable
    {
        yield 'a word' => ['yesterday', 'like 2026-11-24 09:40'];
        yield 'a day that does not exist' => ['2026-02-30 09:40', 'like 2026-11-24 09:40'];
        yield 'an hour that is left out' => ['2026-03-29 02:30', 'does not exist'];
        yield 'an hour that comes twice' => ['2026-10-25 02:30', 'occurred twice'];
    }

    #[DataProvider('noTimes')]
    public function test_what_is_no_time_says_what_is_accepted(string $typed, string $told): void
    {
        $refused = self::refused(static fn() => TypedTime::read($typed, 'from_at'));

        self::assertSame('from_at', $refused[0] ?? null);
        self::assertStringContainsString($told, $refused[1]);
    }

    public function test_a_form_asks_which_hour_only_where_it_comes_twice(): void
    {
        self::assertTrue(TypedTime::comesTwice('2026-10-25 02:30'));
        self::assertFalse(TypedTime::comesTwice('2026-10-25 03:30'));
        self::assertFalse(TypedTime::comesTwice(['2026-10-25 02:30']));
    }

    public function test_lines_from_paper_are_read_in_the_order_of_their_times(): void
    {
        $lines = PaperLines::read("2026-11-24 10:00; 138,3; 138,1; 21,4\n\n2026-11-24 09:00; 140; 20", true);

        self::assertSame([3, 1], array_column($lines, 'line'));
        self::assertSame([20.0, 21.4], array_column($lines, 'celsius'));
        self::assertSame([138.3, 138.1], array_column($lines[1]->signals, 'mv'));
        self::assertSame([4.52], array_column(PaperLines::read('2026-11-24 09:00; 4,52; 20', false)[0]->signals, 'shownPh'));
    }

    /** @return iterable<string, array{string, string}> typed, and a word of what is told */
    public static function noLines(): iterable
    {
        yield 'nothing' => [" \n", 'one to 40 lines'];
        yield 'too much' => [str_repeat("2026-11-24 09:00; 140; 20\n", 41), 'one to 40 lines'];
        yield 'no temperature' => ['2026-11-24 09:00; 140', 'Line 1: type date and time'];
        yield 'no date' => ["2026-11-24 09:00; 140; 20\nmorning; 140; 20", 'Line 2: type date and time'];
        yield 'one time twice' => ["2026-11-24 09:00; 140; 20\n2026-11-24 09:00; 141; 20", 'Lines 1 and 2 have the same time'];
        yield 'the future' => ['2026-11-25 13:01; 140; 20', 'Line 1 is in the future'];
        yield 'a word for a potential' => ['2026-11-24 09:00; high; 20', 'Line 1: '];
        yield 'an hour that is left out' => ['2026-03-29 02:30; 140; 20', 'Line 1: the clock went forward'];
    }

    #[DataProvider('noLines')]
    public function test_a_line_that_cannot_be_read_is_named(string $typed, string $told): void
    {
        $refused = self::refused(static fn() => PaperLines::read($typed, true));

        self::assertSame('readings', $refused[0] ?? null);
        self::assertStringContainsString($told, $refused[1]);
    }
}
