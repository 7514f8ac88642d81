<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Records\LedgerLine;

/** The chained audit ledger in the database. */
final class Ledger
{
    /** Tables whose rows are only ever added, each by an action that seals it in the ledger. */
    public const RECORD_TABLES = [
        'batch_events', 'control_checks', 'calibration_points', 'calibration_voids', 'calibrations', 'care_events', 'cell_calibrations', 'verification_outcomes', 'decisions', 'draft_events', 'lot_events',
        'lot_uses', 'partings', 'readings', 'replicates', 'run_events', 'samples', 'verifications', 'thermometer_services', 'traces',
    ];

    /** The last line, locked until the transaction ends so that only one writer can follow it. */
    public static function last(): ?LedgerLine
    {
        $row = DB::table('ledger')->orderByDesc('seq')->lockForUpdate()->first();

        return $row === null ? null : self::line($row);
    }

    /** Number of the last line, without a lock: it moves with every record. */
    public static function head(): int
    {
        $seq = DB::table('ledger')->max('seq');

        return is_numeric($seq) ? (int) $seq : 0;
    }

    /** @return \Generator<int, LedgerLine> from the first line on */
    public static function lines(): \Generator
    {
        foreach (DB::table('ledger')->orderBy('seq')->lazy(200) as $row) {
            yield self::line($row);
        }
    }

    /**
     * A row as the database keeps it, every value as text.
     *
     * @return array<string, string|null>
     */
    public static function asKept(string $table, int $id): array
    {
        $row = DB::table($table)->where('id', $id)->sole();

        return self::texts($row);
    }

    /** @return array<string, string|null> */
    public static function texts(object $row): array
    {
        $texts = [];
        foreach (get_object_vars($row) as $column => $value) {
            $texts[(string) $column] = match (true) {
                $value === null => null,
                is_scalar($value) => (string) $value,
                default => throw new \LogicException("Column $column cannot be kept as text."),
            };
        }

        return $texts;
    }

    private static function line(object $row): LedgerLine
    {
        $row = self::texts($row);

        return LedgerLine::kept(
            (int) $row['seq'],
            (string) $row['at'],
            (int) $row['person_id'],
            (string) $row['action'],
            (string) $row['table_name'],
            (int) $row['row_id'],
            (string) $row['payload'],
            (string) $row['prev'],
            (string) $row['hash'],
        );
    }
}
