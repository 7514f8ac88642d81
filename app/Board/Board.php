<?php

declare(strict_types=1);

namespace Rheacid\Board;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Style;
use Rheacid\Core\Urgency\Urgency;
use Rheacid\Models\BoardPart;
use Rheacid\Models\Facts;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Records\Ledger;

/**
 * What Today, the rail and the lists say: a row for each pair, thermometer, bottle and batch. An action writes in its transaction what is
 * new, or in use no more, and marks the rest of what it touched as stale; that is worked out after the commit, before the answer. Whoever
 * meets a stale row meanwhile works it out anew. Rows hold codes and moments, and are put into words when they are read, so that nothing
 * in them changes by time. No action decides from them, and they can be thrown away and computed again.
 */
final class Board
{
    /** Table of a record → column that leads to what the board shows of it, and where that column is looked up. */
    private const LEADS = [
        'lots' => [BoardPart::Bottle, 'id'],
        'lot_events' => [BoardPart::Bottle, 'lot_id'],
        'lot_uses' => [BoardPart::Bottle, 'lot_id'],
        'pairs' => [BoardPart::Pair, 'id'],
        'policy_assignments' => [BoardPart::Pair, 'pair_id'],
        'partings' => [BoardPart::Pair, 'pair_id'],
        'calibrations' => [BoardPart::Pair, 'pair_id'],
        'control_checks' => [BoardPart::Pair, 'pair_id'],
        'cell_calibrations' => [BoardPart::Pair, 'pair_id'],
        'measurements' => [BoardPart::Pair, 'pair_id'],
        'care_events' => [BoardPart::Pair, 'electrode_id', 'pairs', 'electrode_id', 'id'],
        'run_events' => [BoardPart::Pair, 'calibration_run_id', 'calibration_runs', 'id', 'pair_id'],
        'calibration_voids' => [BoardPart::Pair, 'calibration_id', 'calibrations', 'id', 'pair_id'],
        'thermometers' => [BoardPart::Thermometer, 'id'],
        'thermometer_services' => [BoardPart::Thermometer, 'thermometer_id'],
        'verifications' => [BoardPart::Thermometer, 'thermometer_id'],
        'verification_outcomes' => [BoardPart::Thermometer, 'verification_id', 'verifications', 'id', 'thermometer_id'],
        'batches' => [BoardPart::Batch, 'id'],
        'batch_events' => [BoardPart::Batch, 'batch_id'],
        'batch_steps' => [BoardPart::Batch, 'batch_id'],
        'batch_step_waits' => [BoardPart::Batch, 'batch_id'],
        'batch_answers' => [BoardPart::Batch, 'batch_id'],
        'batch_routes' => [BoardPart::Batch, 'batch_id'],
        'occasion_ends' => [BoardPart::Batch, 'occasion_id', 'occasions', 'id', 'batch_id'],
        'dispositions' => [BoardPart::Batch, 'deviation_id', 'deviations', 'id', 'batch_id'],
        'deviations' => [BoardPart::Batch, 'batch_id'],
        'decisions' => [BoardPart::Batch, 'occasion_id', 'occasions', 'id', 'batch_id'],
    ];

    /** What lists filter by may change with these: their lines are written in the transaction. */
    private const LISTED = [
        'lots',
        'lot_events',
        'pairs',
        'partings',
        'care_events',
        'thermometers',
        'thermometer_services',
        'batches',
        'batch_events',
    ];

    /** Part → table of what it speaks of. */
    private const THINGS = ['pair' => 'pairs', 'thermometer' => 'thermometers', 'bottle' => 'lots', 'batch' => 'batches'];

    private const AT_ONCE = 500;

    /** What has no limits is sorted after everything that has. */
    private const NOT_URGENT = 9;

    /** @var array<string, array{BoardPart, int}> lines that this process has marked as stale */
    private static array $marked = [];

    /**
     * In the transaction of an action.
     *
     * @param array<string, array<int, array<string, string|null>>> $rows what it wrote, by table and id
     * @param int $seq of its line in the ledger
     */
    public static function follow(array $rows, int $seq): void
    {
        $listed = $stale = [];
        foreach ($rows as $table => $byId) {
            foreach (self::touched($table, $byId) as [$part, $id]) {
                if (in_array($table, self::LISTED, true)) {
                    $listed["$part->value $id"] = [$part, $id];
                } else {
                    $stale["$part->value $id"] = [$part, $id];
                }
            }
        }
        foreach ($listed as [$part, $id]) {
            self::work($part, $id);
        }
        $stale = array_diff_key($stale, $listed);
        if ($stale !== []) {
            DB::table('board')->where(self::among($stale))->update(['stale_since' => $seq]);
        }
        self::$marked = [...self::$marked, ...$stale];
    }

    /** After the commit: works out what this process has marked. A line that a newer one has overtaken stays. */
    public static function catchUp(): void
    {
        [$marked, self::$marked] = [self::$marked, []];
        if ($marked !== []) {
            self::workStale(static fn(Builder $board) => $board->where(self::among($marked)));
        }
    }

    /** Works out what was marked and never caught up with, because a process ended in between. */
    public static function freshen(): void
    {
        self::workStale(static fn(Builder $board) => $board);
    }

    /**
     * @param array<array-key, array{BoardPart, int}> $lines
     *
     * @return \Closure(Builder): void
     */
    private static function among(array $lines): \Closure
    {
        return static function (Builder $any) use ($lines): void {
            foreach ($lines as [$part, $id]) {
                $any->orWhere(static fn(Builder $one) => $one->where('part', $part->value)->where('thing_id', $id));
            }
        };
    }

    /** @param callable(Builder): Builder $which */
    private static function workStale(callable $which): void
    {
        $stale = $which(DB::table('board')->whereNotNull('stale_since'))->orderBy('stale_since')->limit(self::AT_ONCE);
        foreach ($stale->get(['part', 'thing_id']) as $row) {
            self::work(BoardPart::from((string) $row->part), (int) $row->thing_id);
        }
    }

    /** Throws everything away and computes it again. */
    public static function rebuild(): void
    {
        DB::transaction(static function (): void {
            // A head that no line of the ledger has keeps nothing as it is.
            DB::table('board')->update(['head' => 0]);
            foreach (self::things() as [$part, $id]) {
                self::work($part, $id);
            }
        });
    }

    /** Writes each line in use again, one at a time, so that nobody waits for long. */
    public static function rewriteLive(): void
    {
        foreach (
            DB::table('board')
                ->where('is_live', true)
                ->orderBy('part')
                ->orderBy('thing_id')
                ->get(['part', 'thing_id']) as $row
        ) {
            DB::transaction(static function () use ($row): void {
                Ledger::last();
                self::work(BoardPart::from((string) $row->part), (int) $row->thing_id);
            });
        }
    }

    /** The first row that does not say what the records say, in words; null where all do. */
    public static function difference(): ?string
    {
        foreach (self::things() as [$part, $id]) {
            // Somebody may have recorded between two looks: what differs is looked at again while nobody can.
            $differs = static fn(): bool => !self::agrees($part, $id);
            $stillDiffers = static function () use ($differs): bool {
                Ledger::last();

                return $differs();
            };
            if ($differs() && DB::transaction($stillDiffers)) {
                return "the board does not say of $part->value $id what its records say";
            }
        }
        $known = array_sum(array_map(static fn(string $table): int => DB::table($table)->count(), self::THINGS));

        return DB::table('board')->count() > $known ? 'the board holds a row of something that is in no record' : null;
    }

    /** @return \Generator<array{BoardPart, int}> */
    private static function things(): \Generator
    {
        foreach (self::THINGS as $part => $table) {
            foreach (DB::table($table)->select('id')->lazyById(self::AT_ONCE) as $row) {
                yield [BoardPart::from($part), (int) $row->id];
            }
        }
    }

    /** What was recorded while a line is worked out leaves its mark on it, and one from a newer head is not overwritten. */
    private static function work(BoardPart $part, int $id): void
    {
        $head = Ledger::lines();
        $row = [...self::row($part, $id), 'head' => $head];
        $isNewer = 'values(head) >= head';
        $set = array_map(static fn(string $column): string => "`$column` = if($isNewer, values(`$column`), `$column`)", array_keys($row));
        DB::insert(
            sprintf(
                'insert into board (`%s`) values (%s) on duplicate key update '
                    . 'stale_since = if(%s and ifnull(stale_since, 0) <= values(head), null, stale_since), %s',
                implode('`, `', array_keys($row)),
                implode(', ', array_fill(0, count($row), '?')),
                $isNewer,
                implode(', ', $set),
            ),
            array_values($row),
        );
    }

    /**
     * @param array<int, array<string, string|null>> $byId rows of a table
     *
     * @return list<array{BoardPart, int}> lines that say something else by them
     */
    private static function touched(string $table, array $byId): array
    {
        $lead = self::LEADS[$table] ?? null;
        if ($lead === null) {
            return [];
        }
        $values = array_values(
            array_unique(
                array_filter(
                    array_map(static fn(array $row): ?string => $row[$lead[1]] ?? null, $byId),
                    static fn(?string $value): bool => $value !== null,
                ),
            ),
        );
        $ids = isset($lead[2]) ? DB::table($lead[2])->whereIn($lead[3], $values)->pluck($lead[4])->all() : $values;

        return [
            ...array_values(array_map(static fn(mixed $id): array => [$lead[0], is_numeric($id) ? (int) $id : 0], $ids)),
            ...array_map(
                static fn(int $id): array => [BoardPart::Batch, $id],
                $table === 'calibration_voids' ? self::inDoubt($byId) : [],
            ),
        ];
    }

    /** Whether a row says what the records say, or is known to be behind them. */
    private static function agrees(BoardPart $part, int $id): bool
    {
        $row = DB::table('board')->where('part', $part->value)->where('thing_id', $id)->first();

        // A line says its limits in the style that the site had when it was written.
        return $row !== null
            && ($row->stale_since !== null || Style::inAny(static fn(): bool => self::plain((array) $row) === self::row($part, $id)));
    }

    /**
     * @param array<array-key, mixed> $row
     *
     * @return array<string, mixed> as it would come back from the database
     */
    private static function plain(array $row): array
    {
        return [
            'part' => $row['part'],
            'thing_id' => $row['thing_id'],
            'code' => $row['code'],
            'is_live' => (int) $row['is_live'],
            'state' => $row['state'],
            'since' => $row['since'],
            'urgency' => $row['urgency'],
            'spare' => sprintf('%.4f', $row['spare']),
            'product' => $row['product'],
            'vessel' => $row['vessel'],
            'due_at' => $row['due_at'],
            'facts' => $row['facts'],
        ];
    }

    /** @return array<string, mixed> */
    private static function row(BoardPart $part, int $id): array
    {
        $line = match ($part) {
            BoardPart::Pair => PairLine::work($id),
            BoardPart::Thermometer => ThermometerLine::work($id),
            BoardPart::Bottle => BottleLine::work($id),
            BoardPart::Batch => BatchLine::work($id),
        };

        return self::plain([
            'part' => $part->value,
            'thing_id' => $id,
            'code' => $line->code,
            'is_live' => $line->isLive,
            'state' => $line->state?->value,
            'since' => $line->since->utc()->format('Y-m-d H:i:s.v'),
            'urgency' => $line instanceof BatchLine ? $line->urgency()->value : self::NOT_URGENT,
            'spare'
                => $line instanceof BatchLine ? max(-Urgency::FAR, min(Urgency::FAR, $line->says->spare ?? Urgency::FAR)) : Urgency::FAR,
            'product' => $line instanceof BatchLine ? $line->product->code : null,
            'vessel' => $line instanceof BatchLine ? $line->vessel : null,
            'due_at' => $line instanceof BatchLine && $line->isLive ? $line->due->next()?->at->utc()->format('Y-m-d H:i:s') : null,
            'facts' => json_encode(Facts::pack($line), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
        ]);
    }

    /**
     * @param array<int, array<string, string|null>> $voids
     *
     * @return list<int> batches with measurements on a calibration that was voided
     */
    private static function inDoubt(array $voids): array
    {
        return array_values(
            DB::table('measurements')
                ->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')
                ->whereIn('calibration_id', array_column($voids, 'calibration_id'))
                ->distinct()
                ->pluck('occasions.batch_id')
                ->map(static fn(mixed $id): int => is_numeric($id) ? (int) $id : 0)
                ->all(),
        );
    }
}
