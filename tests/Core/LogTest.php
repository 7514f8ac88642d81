<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Logs\LogColumns;
use Rheacid\Core\Logs\LogRefused;
use Rheacid\Core\Logs\LogTable;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Core\Settling\Trace;

/** Data loggers' files: how they are read, and where they stand still. */
final class LogTest extends TestCase
{
    private const POINTS = [[0.0, 170.5, 21.4], [1.0, 170.4, 21.5]];

    /** @return iterable<string, array{string}> the same two points, written in many ways */
    public static function files(): iterable
    {
        yield 'comma and point' => ["time,mV,temperature\n0,170.5,21.4\n1,170.4,21.5\n"];
        yield 'semicolon and decimal comma' => ["time s;mV;°C\r\n0;170,5;21,4\r\n1;170,4;21,5\r\n"];
        yield 'tabs' => ["t\tmV\tdeg C\n0\t170.5\t21.4\n1\t170.4\t21.5"];
        yield 'another order' => ["Temp °C;Potential mV;Elapsed s\n21,4;170,5;0\n21,5;170,4;1"];
        yield 'no header' => ["0;170,5;21,4\n1;170,4;21,5"];
        yield 'a clock' => ["time;mV;°C\n09:41:00;170.5;21.4\n09:41:01;170.4;21.5"];
        yield 'days with times' => ["time;mV;°C\n2026-11-24 09:41:00;170.5;21.4\n2026-11-24 09:41:01;170.4;21.5"];
        yield 'a byte order mark' => ["\xEF\xBB\xBFtime;mV;°C\n0;170.5;21.4\n1;170.4;21.5"];
        yield 'Latin-1' => ["time;mV;\xB0C\n0;170.5;21.4\n1;170.4;21.5"];
        yield 'UTF-16' => ["\xFF\xFE" . iconv('UTF-8', 'UTF-16LE', "time;mV;°C\n0;170.5;21.4\n1;170.4;21.5")];
        yield 'quotes and empty lines' => ["\"time\";\"mV\";\"°C\"\n\n\"0\";\"170.5\";\"21.4\"\n\n\"1\";\"170.4\";\"21.5\"\n"];
    }

    #[DataProvider('files')]
    public function test_a_log_is_read_however_it_was_written(string $file): void
    {
        $table = LogTable::read($file);

        self::assertSame(self::POINTS, LogColumns::guess($table)->trace($table)->points);
    }

    /** @return iterable<string, array{string, int|null, string}> file, line, what is said */
    public static function unreadable(): iterable
    {
        yield 'empty' => ['', null, 'is empty'];
        yield 'only white space' => ["\n \n", null, 'is empty'];
        yield 'binary' => ["\x89PNG\r\n\x1A\n\x00\x00", null, 'is not text'];
        yield 'UTF-16 that breaks off' => ["\xFF\xFE1", null, 'begins like UTF-16'];
        yield 'a line without end' => ["time;mV;°C\n" . str_repeat('1', LogTable::MOST_IN_A_LINE + 1), 2, 'more than 2000 characters'];
        yield 'one column' => ["1\n2\n3", null, 'separator'];
        yield 'a header alone' => ["time;mV;°C\n", null, 'no line with numbers'];
        yield 'two columns' => ["time;mV\n0;1\n1;2", null, 'Three different columns'];
        yield 'time running backwards' => ["time;mV;°C\n0;1;20\n2;1;20\n1;1;20", 4, 'does not increase'];
        yield 'the same second twice' => ["time;mV;°C\n0;1;20\n0;1;20", 3, 'does not increase'];
        yield 'a formula in a cell' => ["time;mV;°C\n0;=1+1;20\n", 2, '"=1+1" is not a number in mV'];
        yield 'a word in a cell' => ["time;mV;°C\n0;1;20\n1;over;20", 3, '"over" is not a number'];
        yield 'a word after empty lines' => ["time;mV;°C\n\n0;1;20\n\n\n1;over;20", 6, '"over" is not a number'];
        yield 'a missing cell' => ["time;mV;°C\n0;1;20\n1;1", 3, '"" is not a number in °C'];
        yield 'beyond the meter' => ["time;mV;°C\n0;1200;20", 2, 'outside -1000 to 1000'];
        yield 'an infinite number' => ["time;mV;°C\n0;1e999;20", 2, 'not a number'];
        yield 'no time' => ["time;mV;°C\nmorning;1;20", 2, 'is not a time'];
    }

    #[DataProvider('unreadable')]
    public function test_what_cannot_be_read_is_refused_with_its_line_and_what_is_accepted(string $file, ?int $line, string $said): void
    {
        try {
            $table = LogTable::read($file);
            LogColumns::guess($table)->trace($table);
            self::fail('It was read.');
        } catch (LogRefused $refusal) {
            self::assertSame($line, $refusal->atLine);
            self::assertStringContainsString($said, $refusal->getMessage());
            self::assertStringContainsString('Accepted:', $refusal->getMessage());
        }
    }

    public function test_too_many_lines_and_too_large_files_are_refused(): void
    {
        $refusals = [];
        foreach ([str_repeat("1;1;1\n", LogTable::MOST_LINES + 1), str_repeat('1;1;1;1;1;', LogTable::MOST_BYTES / 10) . '11'] as $file) {
            try {
                LogTable::read($file);
            } catch (LogRefused $refusal) {
                $refusals[] = substr($refusal->getMessage(), 0, 30);
            }
        }

        self::assertSame(['The file has more than 200000 ', 'The file is larger than 5 MB. '], $refusals);
    }

    public function test_a_gap_in_time_separates_two_cups(): void
    {
        $plateaus = Plateau::in(self::log([[60, -4.0], [60, 170.0]], rinseS: 20));

        self::assertSame([-4.0, 170.0], array_map(static fn(Plateau $plateau): float => $plateau->progress->mv, $plateaus));
        self::assertSame([80.0, 140.0], [$plateaus[1]->fromS, $plateaus[1]->toS]);
        self::assertSame(0.0, $plateaus[1]->trace->points[0][0], 'each trace counts from its own immersion');
    }

    public function test_without_a_gap_two_plateaus_are_told_apart_by_their_potential(): void
    {
        $plateaus = Plateau::in(self::log([[60, -4.0], [60, 170.0]], rinseS: 0));

        self::assertCount(2, $plateaus);
        self::assertEqualsWithDelta(170.0, $plateaus[1]->progress->mv, 0.001);
    }

    public function test_a_short_disturbance_does_not_make_two_cups_of_one(): void
    {
        $points = self::log([[120, 170.0]], 0)->points;
        $points[60] = [$points[60][0], 150.0, $points[60][2]];

        self::assertCount(1, Plateau::in(Trace::of($points)));
    }

    public function test_a_log_that_never_settles_or_has_too_few_points_has_no_plateau(): void
    {
        $drifting = Trace::of(array_map(static fn(int $t): array => [(float) $t, $t * 0.2, 21.0], range(0, 200)));
        $sparse = Trace::of(array_map(static fn(int $i): array => [$i * 2.5, 170.0, 21.0], range(0, 60)));

        self::assertSame([], Plateau::in($drifting));
        self::assertSame([], Plateau::in($sparse));
    }

    /** @param list<array{int, float}> $cups seconds and mV of each */
    private static function log(array $cups, int $rinseS): Trace
    {
        $points = [];
        $clock = 0;
        foreach ($cups as [$seconds, $mv]) {
            for ($t = 0; $t <= $seconds; $t++) {
                $points[] = [(float) ($clock + $t), $mv, 21.0];
            }
            $clock += $seconds + max(1, $rinseS);
        }

        return Trace::of($points);
    }

    public function test_the_columns_of_a_log_are_guessed_within_its_width(): void
    {
        $table = LogTable::read("time;mV\n1;170\n2;171\n");

        $guess = LogColumns::guess($table);

        self::assertSame([0, 1, 1], [$guess->time, $guess->mv, $guess->celsius]);
    }

    public function test_a_column_beyond_the_width_of_a_log_is_refused(): void
    {
        $this->expectException(LogRefused::class);
        $this->expectExceptionMessage('Three different columns are needed; the file has 2.');
        LogColumns::chosen(0, 1, 2)->trace(LogTable::read("1;170\n2;171\n"));
    }

    public function test_a_column_before_the_first_is_refused(): void
    {
        $this->expectException(LogRefused::class);
        $this->expectExceptionMessage('Three different columns are needed; the file has 3.');
        LogColumns::chosen(0, -1, 2)->trace(LogTable::read("1;170;21\n2;171;21\n"));
    }
}
