<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Records\LedgerLine;
use Rheacid\Models\Person;
use Rheacid\SiteClock;

/** What one action writes: its rows are gathered and sealed together in one ledger line. */
final class Entry
{
    /** Two servers of one plant may differ by so much. */
    private const CLOCK_TOLERANCE_S = 5;

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
        $last = Ledger::last();
        $this->ensureClockGoesForward($last);
        $line = LedgerLine::after(
            $last,
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

    /** Records that go back in time cannot be judged: deadlines, due dates and the order of things hang on the clock. */
    private function ensureClockGoesForward(?LedgerLine $last): void
    {
        $before = $last === null ? null : CarbonImmutable::parse($last->at);
        if ($before !== null && $this->at->lessThan($before->subSeconds(self::CLOCK_TOLERANCE_S))) {
            throw Refused::because(sprintf('The clock of this machine has gone back: it says %s, but the last record is of %s. Set the clock right, then send the form again; nothing was recorded.', SiteClock::full($this->at), SiteClock::full($before)), 'clock');
        }
    }

    public static function id(Model $record): int
    {
        $id = $record->getKey();

        return is_int($id) ? $id : throw new \LogicException('A record has a number as its key.');
    }
}
