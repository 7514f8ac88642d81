<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Records\LedgerLine;

/** Compares every ledger line with the line before it, and every record with the line that sealed it. */
final class LedgerCheck
{
    /**
     * @param string|null $head hash printed on paper earlier: it must still be among the lines
     *
     * @return array{difference: string|null, lines: int, head: string} the first difference found, if any
     */
    public static function run(?string $head = null): array
    {
        $last = null;
        $headSeen = $head === null;
        /** @var array<string, array<int, true>> $sealed */
        $sealed = [];
        foreach (Ledger::lines() as $line) {
            $difference = $line->breakAfter($last) ?? self::rowDifference($line);
            if ($difference !== null) {
                return ['difference' => $difference, 'lines' => $line->seq, 'head' => $line->hash];
            }
            foreach ($line->rows() as $table => $rows) {
                $sealed[$table] = ($sealed[$table] ?? []) + array_fill_keys(array_keys($rows), true);
            }
            $headSeen = $headSeen || $line->hash === $head;
            $last = $line;
        }

        return [
            'difference' => self::unsealed($sealed) ?? ($headSeen ? null : "the ledger no longer holds the line $head: its tail was cut"),
            'lines' => $last === null ? 0 : $last->seq,
            'head' => $last === null ? LedgerLine::ORIGIN : $last->hash,
        ];
    }

    /** Hash of the last line, printed on certificates so that a cut tail shows. */
    public static function head(): string
    {
        return (string) (DB::table('ledger')->orderByDesc('seq')->value('hash') ?? LedgerLine::ORIGIN);
    }

    private static function rowDifference(LedgerLine $line): ?string
    {
        foreach ($line->rows() as $table => $rows) {
            $kept = DB::table($table)->whereIn('id', array_keys($rows))->get()->keyBy('id');
            foreach ($rows as $id => $sealed) {
                $row = $kept->get($id);
                if ($row === null) {
                    return "row $id of $table, sealed in ledger line {$line->seq}, is gone";
                }
                $changed = array_keys(array_filter(Ledger::texts($row), static fn(?string $value, string $column): bool => $value !== ($sealed[$column] ?? null), ARRAY_FILTER_USE_BOTH));
                if ($changed !== []) {
                    return "row $id of $table was altered (" . implode(', ', $changed) . "): it differs from ledger line {$line->seq}";
                }
            }
        }

        return null;
    }

    /** @param array<string, array<int, true>> $sealed */
    private static function unsealed(array $sealed): ?string
    {
        foreach (Ledger::RECORD_TABLES as $table) {
            foreach (DB::table($table)->orderBy('id')->pluck('id') as $id) {
                if (is_int($id) && !isset($sealed[$table][$id])) {
                    return "row $id of $table stands in no ledger line: the ledger's tail was cut, or the row was slipped in";
                }
            }
        }

        return null;
    }
}
