<?php

declare(strict_types=1);

namespace Tests\Forms;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Http\Forms\Ready\ShelfFile;

/** A shelf from a table, before anything of it is compared with what is kept. */
final class ShelfFileTest extends FormTestCase
{
    /** @return iterable<string, array{string, string}> file, and a word of what is told */
    public static function noTables(): iterable
    {
        yield 'nothing' => ['', 'holds no things'];
        yield 'a header alone' => ["what;code\n", 'holds no things'];
        yield 'a column that is none' => ["what;code;colour\nmeter;M-1;red", 'Unknown column: "colour"'];
        yield 'a column twice' => ["what;code;code\nmeter;M-1;M-2", 'appears twice'];
        yield 'no codes' => ["what;name\nmeter;the old one", '"what" and "code" are needed'];
        yield 'too many things' => ["what;code\n" . str_repeat("meter;M\n", 501), 'at most 500 things'];
        yield 'too large' => [str_repeat('a', 512 * 1024 + 1), 'more than 512 kB'];
    }

    #[DataProvider('noTables')]
    public function test_what_is_no_such_table_says_why(string $file, string $told): void
    {
        $refused = self::refused(static fn() => ShelfFile::read($file));

        self::assertSame('shelf', $refused[0] ?? null);
        self::assertStringContainsString($told, $refused[1]);
    }

    /** @return iterable<string, array{string, string}> row below what, code, opened_on; and a word of its problem */
    public static function rows(): iterable
    {
        yield 'a thing that is none' => ['spoon;S-1;', 'must be meter, electrode, thermometer or bottle'];
        yield 'a cell too many' => ['meter;M-1;;;', 'has 5 cells, but the first line has 3'];
        yield 'a field of another thing' => ['meter;M-1;2026-11-01', 'opened_on: leave this empty for meter'];
    }

    #[DataProvider('rows')]
    public function test_a_row_says_what_is_wrong_with_it(string $row, string $told): void
    {
        $file = ShelfFile::read("what;code;opened_on\n$row");

        self::assertFalse($file->isWhole());
        self::assertSame([], $file->things());
        self::assertStringContainsString($told, implode(' ', $file->rows[0]['problems']));
        self::assertSame(2, $file->rows[0]['line']);
    }

    public function test_a_code_stands_in_one_row(): void
    {
        $file = ShelfFile::read("what,code\nspoon,S-1\nmeter,s-1");

        self::assertStringContainsString('already in line 2', $file->rows[1]['problems'][0]);
    }
}
