<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Ready;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\ValidationException;
use Rheacid\Core\Logs\LogTable;
use Rheacid\Records\Refused;

/** A shelf from a CSV file: each row is one thing, read as its form would be. */
final readonly class ShelfFile
{
    private const MOST_ROWS = 500;
    private const MOST_BYTES = 512 * 1024;

    /** @param list<array{line: int, code: string, what: string, thing: Model|null, problems: list<string>}> $rows */
    private function __construct(public array $rows) {}

    /** @return list<string> every column that is known */
    public static function columns(): array
    {
        return array_values(
            array_unique([
                'what',
                ...array_merge(...array_map(static fn(ThingKind $what): array => array_keys($what->fields()), ThingKind::cases())),
            ]),
        );
    }

    /** @throws Refused if it is no such table */
    public static function read(string $text): self
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw Refused::because(
                sprintf('That is more than %d kB; at most %d things are accepted at once.', self::MOST_BYTES / 1024, self::MOST_ROWS),
                'shelf',
            );
        }
        $lines = array_values(
            array_filter(preg_split('/\r\n|\r|\n/', LogTable::text($text)) ?: [], static fn(string $line): bool => trim($line) !== ''),
        );
        if (count($lines) < 2) {
            throw Refused::because(
                'The file holds no things. A first line with the names of the columns and one line for each thing are accepted.',
                'shelf',
            );
        }
        if (count($lines) > self::MOST_ROWS + 1) {
            throw Refused::because(
                sprintf('The file has %d lines; at most %d things are accepted at once.', count($lines), self::MOST_ROWS),
                'shelf',
            );
        }
        $separator = substr_count($lines[0], ';') > substr_count($lines[0], ',') ? ';' : ',';
        $header = array_map(
            static fn(?string $name): string => mb_strtolower(trim((string) $name)),
            str_getcsv($lines[0], $separator, '"', ''),
        );
        self::ensureKnown($header);
        $rows = [];
        $seen = [];
        foreach (array_slice($lines, 1) as $i => $line) {
            $rows[] = $row = self::row($i + 2, $header, str_getcsv($line, $separator, '"', ''), $seen);
            $seen[mb_strtolower($row['code'])] = $row['line'];
        }

        return new self($rows);
    }

    public function isWhole(): bool
    {
        return array_filter($this->rows, static fn(array $row): bool => $row['problems'] !== []) === [];
    }

    /** @return list<Model> */
    public function things(): array
    {
        return array_values(array_filter(array_column($this->rows, 'thing')));
    }

    /** @param list<string> $header */
    private static function ensureKnown(array $header): void
    {
        $unknown = array_diff($header, self::columns());
        $why = match (true) {
            $unknown !== [] => sprintf(
                'Unknown column: %s.',
                implode(', ', array_map(static fn(string $name): string => '"' . mb_strimwidth($name, 0, 30, '…') . '"', $unknown)),
            ),
            count(array_unique($header)) < count($header) => 'A column appears twice.',
            array_diff(['what', 'code'], $header) !== [] => 'The columns "what" and "code" are needed.',
            default => null,
        };
        if ($why !== null) {
            throw Refused::because(sprintf('%s Accepted columns: %s.', $why, implode(', ', self::columns())), 'shelf');
        }
    }

    /**
     * @param list<string> $header
     * @param list<string|null> $cells
     * @param array<string, int> $seen line by code
     *
     * @return array{line: int, code: string, what: string, thing: Model|null, problems: list<string>}
     */
    private static function row(int $line, array $header, array $cells, array $seen): array
    {
        $filled = array_combine($header, array_pad(array_slice($cells, 0, count($header)), count($header), null));
        $named = static fn(string $column): string => trim((string) ($filled[$column] ?? ''));
        $row = ['line' => $line, 'code' => $named('code'), 'what' => $named('what'), 'thing' => null];
        $what = ThingKind::tryFrom(mb_strtolower($row['what']));
        $before = $seen[mb_strtolower($row['code'])] ?? null;
        if ($what === null || count($cells) > count($header) || $before !== null) {
            return [
                ...$row,
                'problems' => [
                    match (true) {
                        count($cells) > count($header) => sprintf('has %d cells, but the first line has %d', count($cells), count($header)),
                        $before !== null => "the code is already in line $before",
                        default => 'what: must be meter, electrode, thermometer or bottle',
                    },
                ],
            ];
        }
        $alien = array_keys(
            array_filter(
                array_diff_key($filled, ['what' => 1], $what->fields()),
                static fn(?string $cell): bool => trim((string) $cell) !== '',
            ),
        );
        if ($alien !== []) {
            return [
                ...$row,
                'problems' => array_map(static fn(string $name): string => "$name: leave this empty for $what->value", $alien),
            ];
        }
        try {
            return [...$row, 'thing' => TypedThing::make($what, $filled), 'problems' => []];
        } catch (ValidationException $exception) {
            $problems = [];
            foreach ($exception->errors() as $field => $messages) {
                $problems[] = "$field: $messages[0]";
            }

            return [...$row, 'problems' => $problems];
        }
    }
}
