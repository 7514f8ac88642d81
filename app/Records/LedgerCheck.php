<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Records\LedgerLine;

/** Compares every ledger line with the line before it, and every record with the line that sealed it. */
final class LedgerCheck
{
    private const LINES = 500;
    private const IDS = 2000;

    /** @var array<string, array<int, true>> rows that stand in a line, by table and id */
    private array $sealed = [];

    /**
     * @param string|null $head hash printed on paper earlier
     * @param int $since line of a checkpoint whose hash is $head; 0 for the whole
     */
    private function __construct(private readonly ?string $head, private readonly int $since) {}

    /**
     * @param string|null $head hash printed on paper earlier: it must still be among the lines
     * @param int $since goes on from that line, whose hash is $head; what was slipped in before it is not noticed then
     *
     * @return array{difference: string|null, lines: int, head: string} the first difference found, if any
     */
    public static function run(?string $head = null, int $since = 0): array
    {
        return (new self($head, $since))->walk();
    }

    /** @return array{difference: string|null, lines: int, head: string} */
    private function walk(): array
    {
        $last = $this->since === 0 ? null : Ledger::at($this->since);
        if ($this->since > 0 && $last?->hash !== $this->head) {
            return [
                'difference' => "ledger line $this->since is no longer the checkpoint: the ledger before it was altered or removed",
                'lines' => 0,
                'head' => '',
            ];
        }
        $headSeen = $this->head === null || $this->since > 0;
        while (($lines = Ledger::linesAfter($last->seq ?? 0, self::LINES)) !== []) {
            foreach ($lines as $i => $line) {
                $difference = $line->breakAfter($last);
                if ($difference !== null) {
                    return [
                        'difference' => $this->rowDifference(array_slice($lines, 0, $i)) ?? $difference,
                        'lines' => $line->seq,
                        'head' => $line->hash,
                    ];
                }
                $headSeen = $headSeen || $line->hash === $this->head;
                $last = $line;
            }
            $difference = $this->rowDifference($lines);
            if ($difference !== null) {
                return ['difference' => $difference, 'lines' => $last->seq, 'head' => $last->hash];
            }
        }

        return [
            'difference'
                => ($this->since > 0 ? null : $this->unsealed())
                ?? ($headSeen ? null : "the ledger no longer holds the line {$this->head}: its end was removed"),
            'lines' => $last->seq ?? 0,
            'head' => $last->hash ?? LedgerLine::ORIGIN,
        ];
    }

    /** @param list<LedgerLine> $lines whose rows are looked up together */
    private function rowDifference(array $lines): ?string
    {
        $rows = [];
        foreach ($lines as $line) {
            foreach ($line->rows() as $table => $byId) {
                foreach ($byId as $id => $row) {
                    $rows[$table][$id] = [$line->seq, $row];
                }
            }
        }
        foreach ($rows as $table => $byId) {
            $this->sealed[$table] = ($this->sealed[$table] ?? []) + array_fill_keys(array_keys($byId), true);
            $kept = [];
            foreach (array_chunk(array_keys($byId), self::IDS) as $ids) {
                $kept += DB::table($table)->whereIn('id', $ids)->get()->keyBy('id')->all();
            }
            foreach ($byId as $id => [$seq, $sealed]) {
                if (!isset($kept[$id])) {
                    return "row $id of $table, sealed in ledger line $seq, is missing";
                }
                $now = Ledger::asSealed($table, $kept[$id]);
                $changed = array_keys(
                    array_filter(
                        $now,
                        static fn(?string $value, string $column): bool => $value !== ($sealed[$column] ?? null),
                        ARRAY_FILTER_USE_BOTH,
                    ),
                );
                if ($changed !== []) {
                    return "row $id of $table was altered (" . implode(', ', $changed) . "): it differs from ledger line $seq";
                }
            }
        }

        return null;
    }

    private function unsealed(): ?string
    {
        // Records of an earlier version are proven before they are brought up to date: tables that came later are not there yet.
        $there = DB::getSchemaBuilder()->getTableListing(schemaQualified: false);
        foreach (array_intersect(SealedTables::all(), $there) as $table) {
            $after = 0;
            while (($ids = DB::table($table)->where('id', '>', $after)->orderBy('id')->limit(self::IDS)->pluck('id')->all()) !== []) {
                foreach ($ids as $id) {
                    $after = is_numeric($id) ? (int) $id : 0;
                    if (!isset($this->sealed[$table][$after])) {
                        return "row $after of $table is in no ledger line: the row was added, or the end of the ledger was removed";
                    }
                }
            }
        }

        return null;
    }
}
