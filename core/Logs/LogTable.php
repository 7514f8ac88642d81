<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

/** A data logger's file as lines of cells, before anybody knows which column is what. */
final readonly class LogTable
{
    public const MOST_BYTES = 5 * 1024 * 1024;
    public const MOST_LINES = 200_000;
    public const MOST_IN_A_LINE = 2000;

    /**
     * @param list<string>|null $header names of the columns, if the file has them
     * @param non-empty-array<int, list<string>> $rows cells by line number
     */
    private function __construct(public ?array $header, public array $rows) {}

    /** @throws LogRefused */
    public static function read(string $bytes): self
    {
        $lines = self::lines($bytes);
        $delimiter = self::delimiter($lines);
        $rows = [];
        $header = null;
        foreach ($lines as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = array_map(static fn(string $cell): string => trim($cell, " \t\"'"), explode($delimiter, $line));
            if ($rows === [] && $header === null && !self::looksMeasured($cells)) {
                $header = $cells;
                continue;
            }
            $rows[$i + 1] = $cells;
        }
        if ($rows === []) {
            throw LogRefused::file('The file contains no line with numbers.');
        }

        return new self($header, $rows);
    }

    public function width(): int
    {
        return count($this->rows[array_key_first($this->rows)]);
    }

    public function columnName(int $column): string
    {
        return $this->header[$column] ?? 'column ' . ($column + 1);
    }

    /** @return non-empty-list<string> */
    private static function lines(string $bytes): array
    {
        if (trim($bytes) === '') {
            throw LogRefused::file('The file is empty.');
        }
        if (strlen($bytes) > self::MOST_BYTES) {
            throw LogRefused::file(sprintf('The file is larger than %d MB.', self::MOST_BYTES / 1024 / 1024));
        }
        $text = str_replace(["\r\n", "\r"], "\n", self::text($bytes));
        // Counted before it is taken apart: each line and each cell costs many times what it holds.
        if (substr_count($text, "\n") >= self::MOST_LINES) {
            throw LogRefused::file(sprintf('The file has more than %d lines.', self::MOST_LINES));
        }
        $lines = explode("\n", $text);
        foreach ($lines as $i => $line) {
            if (strlen($line) > self::MOST_IN_A_LINE) {
                throw LogRefused::line($i + 1, sprintf('It has more than %d characters.', self::MOST_IN_A_LINE));
            }
        }

        return $lines;
    }

    /**
     * The file's text in UTF-8, whatever of the accepted encodings it came in.
     *
     * @throws LogRefused if it is no text
     */
    public static function text(string $bytes): string
    {
        $utf16 = match (substr($bytes, 0, 2)) {
            "\xFF\xFE" => 'UTF-16LE',
            "\xFE\xFF" => 'UTF-16BE',
            default => null,
        };
        if ($utf16 !== null) {
            $text = @iconv($utf16, 'UTF-8', substr($bytes, 2));

            return $text === false ? throw LogRefused::file('The file begins like UTF-16 but is not.') : $text;
        }
        $bytes = str_starts_with($bytes, "\xEF\xBB\xBF") ? substr($bytes, 3) : $bytes;
        if (preg_match('/[\x00-\x08\x0E-\x1F]/', $bytes) === 1) {
            throw LogRefused::file('The file is not text.');
        }

        return preg_match('//u', $bytes) === 1 ? $bytes : (string) iconv('ISO-8859-1', 'UTF-8', $bytes);
    }

    /**
     * @param non-empty-list<string> $lines
     *
     * @return non-empty-string
     */
    private static function delimiter(array $lines): string
    {
        $sample = implode("\n", array_slice($lines, 0, 20));
        // A comma may be a decimal sign, so the others are asked first.
        foreach (["\t", ';', ','] as $delimiter) {
            if (str_contains($sample, $delimiter)) {
                return $delimiter;
            }
        }
        throw LogRefused::file('No column separator was found.');
    }

    /** @param list<string> $cells */
    private static function looksMeasured(array $cells): bool
    {
        return count(array_filter($cells, static fn(string $cell): bool => preg_match('/^[=+-]?[0-9]/', $cell) === 1))
            >= min(2, count($cells));
    }
}
