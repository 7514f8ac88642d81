<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Rheacid\Actions\Measure\NameSource;
use Rheacid\Actions\Measure\OpenRound;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\Course;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\SealedTables;

/** Whoever has the database alters, removes or slips in a row: of every table each is named. */
final class SealedTest extends BenchTestCase
{
    /** Written to by what is not built yet, so that nothing stands in them that could be altered or removed. */
    private const LATER = [
        'access_digests',
        'additions',
        'blind_pairs',
        'calibration_voids',
        'cell_calibrations',
        'corrective_actions',
        'course_findings',
        'course_parts',
        'courses',
        'deviations',
        'dispositions',
        'external_values',
        'log_uploads',
        'look_backs',
        'partings',
        'releases',
        'restoration_confirmations',
        'restorations',
        'round_drawings',
        'round_visits',
        'titrant_standardisations',
        'titrations',
        'traces',
        'true_times',
        'batch_notes',
        'batch_parents',
        'batch_steps',
        'draft_events',
        'lot_events',
        'site_elevations',
        'verification_outcomes',
        'warnings',
    ];

    public function test_in_every_table_an_altered_a_removed_and_a_slipped_in_row_is_named(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([4.45, 4.46]);
        app(OpenRound::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $this->thermometer(),
            RoundPlan::chosen([$this->batch()->id], CarbonImmutable::now()),
            true,
            false,
        );
        (new NameSource())($this->people['lead'], IdempotencyKey::own(), 'a laboratory', Measurand::Alcohol, true, 'compared with ours');
        $kraut = $this->brew('vegetable-ferment', 'KR-0001', '2026-11-25T06:00');
        $this->actingAs($this->people['lead'])->post("/batches/$kraut->id/route", [
            'route' => 'Cold throughout',
            'reason' => 'told by a test',
            'form' => self::formId(),
        ]);
        $this->post("/batches/$kraut->id/steps/wait", ['step' => 'packed', 'form' => self::formId()])->assertSessionHasNoErrors();
        $brine = $this->measure([4.2, 4.2], batch: 'KR-0001', place: 'brine');
        $this->post("/occasions/$brine->occasion_id/end", ['form' => self::formId()])->assertSessionHasNoErrors();
        $this->post("/batches/$kraut->id/temperatures", [
            'thermometer' => $this->thermometer()->id,
            'point' => 'chamber',
            'unit' => 'C',
            'course' => "2026-11-25 07:00; 4\n2026-11-25 08:00; 4",
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->post('/courses/' . Course::query()->sole()->id . '/strikes', [
            'from_at' => '2026-11-25T06:30',
            'to_at' => '2026-11-25T07:30',
            'reason' => 'the door',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        self::assertNull(LedgerCheck::run()['difference']);
        $owner = DB::connection('owner');
        $owner->statement('SET FOREIGN_KEY_CHECKS = 0');
        $empty = [];
        foreach (SealedTables::all() as $table) {
            $row = (array) $owner->table($table)->orderByDesc('id')->first();
            if ($row === []) {
                $empty[] = $table;
            } else {
                $this->altersAndRemoves($owner, $table, $row);
            }
            $this->slipsIn($owner, $table, $row);
        }
        $owner->statement('SET FOREIGN_KEY_CHECKS = 1');

        self::assertSame([], array_values(array_diff($empty, self::LATER)), 'tables in which nothing could be tried');
        self::assertNull(LedgerCheck::run()['difference'], 'and everything was put back');
    }

    /** @param array<array-key, mixed> $row */
    private function altersAndRemoves(Connection $owner, string $table, array $row): void
    {
        $id = $row['id'];
        foreach (array_diff(array_keys($row), ['id']) as $column) {
            $owner
                ->table($table)
                ->where('id', $id)
                ->update([$column => self::other($owner, $table, (string) $column, $row[$column])]);
            self::assertStringStartsWith(
                "row $id of $table was altered ($column)",
                (string) LedgerCheck::run()['difference'],
                "$table.$column",
            );
            $owner
                ->table($table)
                ->where('id', $id)
                ->update([$column => $row[$column]]);
        }
        $owner->table($table)->where('id', $id)->delete();
        self::assertMatchesRegularExpression(
            "/^row $id of $table, sealed in ledger line \\d+, is missing$/",
            (string) LedgerCheck::run()['difference'],
        );
        $owner->table($table)->insert([$row]);
    }

    /** @param array<array-key, mixed> $like */
    private function slipsIn(Connection $owner, string $table, array $like): void
    {
        $row = [];
        foreach ($owner->getSchemaBuilder()->getColumns($table) as $column) {
            $name = $column['name'];
            $row[$name] = match (true) {
                $name === 'id' => 999_999,
                isset($like[$name]) && !is_string($like[$name]) => $like[$name],
                default => self::other($owner, $table, $name, $like[$name] ?? null),
            };
        }
        // What may stand once only is taken by the row that is there.
        foreach (array_keys($row) as $name) {
            if (str_ends_with((string) $name, '_id') || $name === 'version') {
                $row[$name] = 999_000;
            }
        }
        $owner->table($table)->insert([$row]);
        self::assertStringStartsWith("row 999999 of $table is in no ledger line", (string) LedgerCheck::run()['difference']);
        $owner->table($table)->where('id', 999_999)->delete();
    }

    /** Another value of the column's type. */
    private static function other(Connection $owner, string $table, string $column, mixed $now): mixed
    {
        $type = collect($owner->getSchemaBuilder()->getColumns($table))->firstWhere('name', $column)['type'] ?? '';

        return match (true) {
            str_starts_with($type, 'tinyint') => $now === 1 ? 0 : 1,
            str_contains($type, 'int') => (is_numeric($now) ? (int) $now : 0) + 7777,
            str_starts_with($type, 'decimal') => is_numeric($now) && (float) $now === 1.0 ? 2 : 1,
            str_starts_with($type, 'datetime') => '2020-01-02 03:04:05.678',
            str_starts_with($type, 'date') => '2020-01-02',
            $column === 'series' => (string) Str::uuid(),
            str_contains($type, 'text') && !str_starts_with($type, 'mediumtext') => '{"slipped":"in"}',
            default => 'y',
        };
    }
}
