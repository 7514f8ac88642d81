<?php

declare(strict_types=1);

namespace Rheacid\Core\Records;

/**
 * One line of the audit ledger: what was written, chained to the line before by its hash.
 *
 * The hash is over the hash before, every field, and the SHA-256 of the payload: a line can be shown without what it seals.
 */
final readonly class LedgerLine
{
    /** What the first line is chained to. */
    public const ORIGIN = '0000000000000000000000000000000000000000000000000000000000000000';

    /** The table whose rows state the true time: with them alone, time may go back. */
    public const TRUE_TIMES = 'true_times';

    /** The form of the line. A later form is told apart by it. */
    public const VERSION = 1;

    private function __construct(
        public int $version,
        public int $seq,
        public string $at,
        public int $personId,
        public string $action,
        public string $table,
        public int $rowId,
        public string $payload,
        public string $payloadSha256,
        public string $prev,
        public string $hash,
    ) {}

    /**
     * @param string $at UTC, ISO 8601 with milliseconds; moved up to the line before where it lies before it, unless it states the true
     * time
     * @param array<string, array<int, array<string, string|null>>> $rows every row the action wrote, by table and id; large columns by
     * their digest
     */
    public static function after(?self $last, string $at, int $personId, string $action, string $table, int $rowId, array $rows): self
    {
        $payload = self::payload($rows);
        $line = [
            self::VERSION,
            $last === null ? 1 : $last->seq + 1,
            $last === null || $table === self::TRUE_TIMES ? $at : max($at, $last->at),
            $personId,
            $action,
            $table,
            $rowId,
        ];
        $prev = $last === null ? self::ORIGIN : $last->hash;
        $digest = hash('sha256', $payload);

        return new self(...[...$line, $payload, $digest, $prev, self::seal($prev, [...$line, $digest])]);
    }

    public static function kept(
        int $version,
        int $seq,
        string $at,
        int $personId,
        string $action,
        string $table,
        int $rowId,
        string $payload,
        string $payloadSha256,
        string $prev,
        string $hash,
    ): self {
        return new self($version, $seq, $at, $personId, $action, $table, $rowId, $payload, $payloadSha256, $prev, $hash);
    }

    /** What stands in a payload for a large column. */
    public static function digest(string $value): string
    {
        return 'sha256:' . hash('sha256', $value);
    }

    /** Why this line cannot follow that one; null if it does. */
    public function breakAfter(?self $last): ?string
    {
        $seq = $last === null ? 1 : $last->seq + 1;

        return match (true) {
            $this->seq !== $seq => "ledger line $seq is missing",
            $this->prev !== ($last === null ? self::ORIGIN : $last->hash) => "ledger line {$this->seq} does not follow the line before it",
            $this->hash
                !== self::seal($this->prev, [
                    $this->version,
                    $this->seq,
                    $this->at,
                    $this->personId,
                    $this->action,
                    $this->table,
                    $this->rowId,
                    $this->payloadSha256,
                ])
                => "ledger line {$this->seq} was altered",
            $this->payloadSha256 !== hash('sha256', $this->payload) => "what ledger line {$this->seq} seals was altered",
            $last !== null && $this->at < $last->at && $this->table !== self::TRUE_TIMES
                => "ledger line {$this->seq} is earlier than the line before it",
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
        return hash(
            'sha256',
            implode('', array_map(static fn(int|string $field): string => strlen((string) $field) . ':' . $field, [$prev, ...$fields])),
        );
    }
}
