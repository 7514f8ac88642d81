<?php

declare(strict_types=1);

namespace Rheacid\Core\Records;

/** One line of the audit ledger: what was written, chained to the line before by its hash. */
final readonly class LedgerLine
{
    /** What the first line is chained to. */
    public const ORIGIN = '0000000000000000000000000000000000000000000000000000000000000000';

    private function __construct(
        public int $seq,
        public string $at,
        public int $personId,
        public string $action,
        public string $table,
        public int $rowId,
        public string $payload,
        public string $prev,
        public string $hash,
    ) {}

    /**
     * @param string $at UTC, ISO 8601 with milliseconds
     * @param array<string, array<int, array<string, string|null>>> $rows every row the action wrote, by table and id
     */
    public static function after(?self $last, string $at, int $personId, string $action, string $table, int $rowId, array $rows): self
    {
        $line = [$last === null ? 1 : $last->seq + 1, $at, $personId, $action, $table, $rowId, self::payload($rows)];
        $prev = $last === null ? self::ORIGIN : $last->hash;

        return new self(...[...$line, $prev, self::seal($prev, $line)]);
    }

    public static function kept(int $seq, string $at, int $personId, string $action, string $table, int $rowId, string $payload, string $prev, string $hash): self
    {
        return new self($seq, $at, $personId, $action, $table, $rowId, $payload, $prev, $hash);
    }

    /** Why this line cannot follow that one; null if it does. */
    public function breakAfter(?self $last): ?string
    {
        $seq = $last === null ? 1 : $last->seq + 1;

        return match (true) {
            $this->seq !== $seq => "ledger line $seq is missing",
            $this->prev !== ($last === null ? self::ORIGIN : $last->hash) => "ledger line {$this->seq} does not follow the line before it",
            $this->hash !== self::seal($this->prev, [$this->seq, $this->at, $this->personId, $this->action, $this->table, $this->rowId, $this->payload]) => "ledger line {$this->seq} was altered",
            default => null,
        };
    }

    /** @return array<string, array<int, array<string, string|null>>> */
    public function rows(): array
    {
        /** @var array<string, array<int, array<string, string|null>>> $rows written by payload() */
        $rows = json_decode($this->payload, true, 16, JSON_THROW_ON_ERROR);

        return $rows;
    }

    /**
     * Keys sorted, values as the texts in which the database keeps them, so that equal rows give equal payloads.
     *
     * @param array<string, array<int, array<string, string|null>>> $rows
     */
    private static function payload(array $rows): string
    {
        ksort($rows);
        foreach ($rows as &$byId) {
            ksort($byId);
            foreach ($byId as &$row) {
                ksort($row);
            }
        }

        return json_encode($rows, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_FORCE_OBJECT);
    }

    /** @param list<int|string> $fields */
    private static function seal(string $prev, array $fields): string
    {
        // The length before each field keeps two different lines from reading alike.
        return hash('sha256', implode('', array_map(static fn(int|string $field): string => strlen((string) $field) . ':' . $field, [$prev, ...$fields])));
    }
}
