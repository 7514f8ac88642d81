<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Records\LedgerLine;

/** The chained audit ledger in the database. */
final class Ledger
{
    /** The last line, locked until the transaction ends so that only one writer can follow it. */
    public static function last(): ?LedgerLine
    {
        $row = DB::table('ledger')->orderByDesc('seq')->lockForUpdate()->first();

        return $row === null ? null : self::line($row);
    }

    /** Hash of the last line, printed on certificates so that a cut tail shows. */
    public static function head(): string
    {
        return (string) (DB::table('ledger')->orderByDesc('seq')->value('hash') ?? LedgerLine::ORIGIN);
    }

    /** The time of the last record, where it lies ahead of the clock. */
    public static function ahead(): ?CarbonImmutable
    {
        $at = DB::table('ledger')->orderByDesc('seq')->value('at');
        $last = is_string($at) ? CarbonImmutable::parse($at) : null;

        return $last?->isFuture() === true ? $last : null;
    }

    public static function lines(): int
    {
        return (int) DB::table('ledger')->max('seq');
    }

    /**
     * By whom and when rows of a table were written first of all that their line seals.
     *
     * @param list<int> $ids
     *
     * @return array<int, array{at: string, by: string}> by row
     */
    public static function sealed(string $table, array $ids): array
    {
        $lines = [];
        foreach (
            DB::table('ledger')
                ->join('people', 'people.id', '=', 'ledger.person_id')
                ->where('table_name', $table)
                ->whereIn('row_id', $ids)
                ->get(['row_id', 'at', 'name']) as $line
        ) {
            $lines[(int) $line->row_id] = ['at' => (string) $line->at, 'by' => (string) $line->name];
        }

        return $lines;
    }

    public static function at(int $seq): ?LedgerLine
    {
        $row = DB::table('ledger')->where('seq', $seq)->first();

        return $row === null ? null : self::line($row);
    }

    /** @return list<LedgerLine> so many lines after that one */
    public static function linesAfter(int $seq, int $count): array
    {
        return array_values(
            DB::table('ledger')->where('seq', '>', $seq)->orderBy('seq')->limit($count)->get()->map(self::line(...))->all(),
        );
    }

    public static function append(LedgerLine $line): void
    {
        DB::table('ledger')->insert([
            'seq' => $line->seq,
            'version' => $line->version,
            'at' => $line->at,
            'person_id' => $line->personId,
            'action' => $line->action,
            'table_name' => $line->table,
            'row_id' => $line->rowId,
            'payload' => $line->payload,
            'payload_sha256' => $line->payloadSha256,
            'prev' => $line->prev,
            'hash' => $line->hash,
        ]);
    }

    /**
     * A row as it is sealed: every value as text, large columns by their digest.
     *
     * @return array<string, string|null>
     */
    public static function asSealed(string $table, object $row): array
    {
        $large = SealedTables::large($table);
        $texts = [];
        foreach (get_object_vars($row) as $column => $value) {
            $text = match (true) {
                $value === null => null,
                is_scalar($value) => (string) $value,
                default => throw new \LogicException("Column $column cannot be stored as text."),
            };
            $texts[(string) $column] = $text !== null && in_array($column, $large, true) ? LedgerLine::digest($text) : $text;
        }

        return $texts;
    }

    private static function line(\stdClass $row): LedgerLine
    {
        return LedgerLine::kept(
            (int) $row->version,
            (int) $row->seq,
            (string) $row->at,
            (int) $row->person_id,
            (string) $row->action,
            (string) $row->table_name,
            (int) $row->row_id,
            (string) $row->payload,
            (string) $row->payload_sha256,
            (string) $row->prev,
            (string) $row->hash,
        );
    }
}
