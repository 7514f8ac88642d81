<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Records\LedgerLine;
use Rheacid\Models\Person;
use Rheacid\Site\SiteClock;

/** What one action writes: its rows are gathered and sealed together in one ledger line. */
final class Entry
{
    /** Two servers of one site may differ by so much. */
    public const CLOCK_TOLERANCE_S = 5;

    /** @var array<string, list<int>> ids of the rows written, by table */
    private array $written = [];

    private function __construct(public readonly Person $by, public readonly CarbonImmutable $at) {}

    /**
     * Begins with the row locked that says whether recording is open, and the ledger's last line: writers follow one another, and each
     * sees what the one before wrote.
     *
     * @throws Refused if recording is closed, or the machine's clock has gone back
     */
    public static function begin(Person $by, bool $statesTrueTime = false): self
    {
        Closing::hold();
        $now = CarbonImmutable::now();
        $last = Ledger::last();
        $before = $last === null ? null : CarbonImmutable::parse($last->at);
        // Records that go back in time cannot be judged: deadlines, due dates and the order of things depend on the clock.
        if ($before !== null && !$statesTrueTime && $now->lessThan($before->subSeconds(self::CLOCK_TOLERANCE_S))) {
            throw Refused::because(
                sprintf(
                    'The computer’s clock has gone back: it says %s, but the last record is from %s. Nothing was recorded. Correct the '
                        . 'clock, then send the form again. If the clock is right now and was ahead before, a lead confirms the true time '
                        . 'at %s.',
                    SiteClock::full($now),
                    SiteClock::full($before),
                    route('clock'),
                ),
                'clock',
            );
        }

        return new self($by, $before === null || $statesTrueTime ? $now : $now->max($before));
    }

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
        $this->written[$record->getTable()][] = self::id($record);

        return $record;
    }

    public function seal(string $action, Model $leading): void
    {
        if ($this->written === []) {
            return;
        }
        $rows = $this->rows();
        $line = LedgerLine::after(
            Ledger::last(),
            $this->at->utc()->format('Y-m-d\TH:i:s.v\Z'),
            self::id($this->by),
            $action,
            $leading->getTable(),
            self::id($leading),
            $rows,
        );
        Ledger::append($line);
        app(Followers::class)->follow($rows, $line->seq);
    }

    /** @return array<string, array<int, array<string, string|null>>> as the database has kept them, by table and id */
    private function rows(): array
    {
        $rows = [];
        foreach ($this->written as $table => $ids) {
            foreach (DB::table($table)->whereIn('id', $ids)->orderBy('id')->get() as $row) {
                $rows[$table][(int) $row->id] = Ledger::asSealed($table, $row);
            }
            if (count($rows[$table] ?? []) < count(array_unique($ids))) {
                throw new \LogicException("A row of $table that was written is not there.");
            }
        }

        return $rows;
    }

    public static function id(Model $record): int
    {
        $id = $record->getKey();

        return is_int($id) ? $id : throw new \LogicException('A record needs a numeric key.');
    }
}
