<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Records\LedgerLine;
use Rheacid\Models\Person;

/** What one action writes: its rows are gathered and sealed together in one ledger line. */
final class Entry
{
    /** @var array<string, array<int, array<string, string|null>>> */
    private array $rows = [];

    public function __construct(public readonly Person $by, public readonly CarbonImmutable $at) {}

    /**
     * @template T of Model
     *
     * @param T $record
     *
     * @return T
     */
    public function add(Model $record): Model
    {
        $record->save();
        $this->rows[$record->getTable()][self::id($record)] = Ledger::asKept($record->getTable(), self::id($record));

        return $record;
    }

    public function seal(string $action, Model $leading): void
    {
        if ($this->rows === []) {
            return;
        }
        $line = LedgerLine::after(
            Ledger::last(),
            $this->at->utc()->format('Y-m-d\TH:i:s.v\Z'),
            $this->by->id,
            $action,
            $leading->getTable(),
            self::id($leading),
            $this->rows,
        );
        DB::table('ledger')->insert([
            'seq' => $line->seq,
            'at' => $line->at,
            'person_id' => $line->personId,
            'action' => $line->action,
            'table_name' => $line->table,
            'row_id' => $line->rowId,
            'payload' => $line->payload,
            'prev' => $line->prev,
            'hash' => $line->hash,
        ]);
    }

    public static function id(Model $record): int
    {
        $id = $record->getKey();

        return is_int($id) ? $id : throw new \LogicException('A record has a number as its key.');
    }
}
