<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Rheacid\Board\Board;
use Rheacid\Find\Index;
use Rheacid\Http\Forms\Ready\ThingKind;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Deviation;
use Rheacid\Models\LogUpload;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\Round;
use Rheacid\Models\Verification;

/**
 * No page reads a history: on a plant with ten times the past every page asks the same number of questions, and gets as much as it shows.
 */
final class PagesTest extends BenchTestCase
{
    private const TIMES = 10;

    /** Far above every id of the demo, so that the copies are told apart. */
    private const APART = 1_000_000;

    /** What a list may show more when there is more: a page of it, or the points of a figure. */
    private const SHOWN = 900;

    /** Rows that a page may have the database look through beyond those of the small plant: the pages of its lists, by their keys. */
    private const EXAMINED = 6000;

    /**
     * Tables that are not multiplied: what stands on the bench and how it is judged, what there is once, and the board and the search,
     * which are computed.
     */
    private const ONCE = [
        'assignments',
        'bench_cells',
        'bench_cups',
        'bench_electrodes',
        'bench_thermometers',
        'electrodes',
        'meters',
        'pairs',
        'partings',
        'thermometers',
        'thermometer_services',
        'policy_assignments',
        'methods',
        'policies',
        'product_limits',
        'products',
        'site_elevations',
        'sites',
        'board',
        'found_things',
        'found_terms',
        'found_spellings',
        'migrations',
        'recording_gate',
        'waits',
    ];

    /** Where a table is not numbered by id. */
    private const NUMBERED_BY = ['ledger' => 'seq', 'credentials' => 'person_id'];

    public function test_on_ten_times_the_past_every_page_asks_as_much_as_on_the_demo(): void
    {
        self::emptyDatabase();
        self::countFromOne();
        CarbonImmutable::setTestNow('2026-11-24T09:41:00Z');
        app(Scenario::class)->load(self::PASSPHRASE);
        $lines = self::board();
        Board::rebuild();
        self::assertSame($lines, self::board(), 'the board is what its records say, as it was written along the way');
        $found = self::found();
        CarbonImmutable::setTestNow('2026-11-24T10:41:00Z');
        Index::rebuild();
        CarbonImmutable::setTestNow('2026-11-24T09:41:00Z');
        self::assertSame($found, self::found(), 'and so is the search');

        $small = $this->asked();
        $this->multiply();
        Board::rebuild();
        Index::rebuild();
        $large = $this->asked();

        $grown = [];
        foreach ($large as $page => [$queries, $rows, $examined]) {
            [$before, $shown, $looked] = $small[$page];
            if ($queries > $before || $rows > $shown + self::SHOWN || $examined > $looked + self::EXAMINED) {
                $grown[] = "$page: $before → $queries queries, $shown → $rows rows, $looked → $examined looked through";
            }
        }
        self::assertSame([], $grown);
        self::assertLessThan(80, max([0, ...array_column($large, 0)]), 'queries of a page');
    }

    private static function countFromOne(): void
    {
        foreach (DB::connection('owner')->getSchemaBuilder()->getTables() as $table) {
            DB::connection('owner')->statement("alter table `{$table['name']}` auto_increment = 1");
        }
    }

    /** @return list<string> */
    private static function board(): array
    {
        return array_values(
            DB::table('board')
                ->orderBy('part')
                ->orderBy('thing_id')
                ->get()
                ->map(static function (object $row): string {
                    $row->head = 0;

                    return json_encode($row, JSON_THROW_ON_ERROR);
                })
                ->all(),
        );
    }

    /** @return list<string> */
    private static function found(): array
    {
        return array_values(
            DB::table('found_things')
                ->orderBy('part')
                ->orderBy('thing_id')
                ->get()
                ->map(static fn(object $row): string => json_encode($row, JSON_THROW_ON_ERROR))
                ->all(),
        );
    }

    /** @return array<string, array{int, int, int}> queries, rows sent, and rows looked through, by page */
    private function asked(): array
    {
        $this->actingAs(Person::query()->whereRelation('credential', 'username', 'sela')->firstOrFail());
        $asked = [];
        // Whoever comes first has the plan of the day computed for all.
        app()->forgetScopedInstances();
        $this->get('/');
        foreach ($this->pages() as $name => $url) {
            $this->get($url);
            app()->forgetScopedInstances();
            DB::flushQueryLog();
            DB::enableQueryLog();
            [$sent, $read] = [self::counted('Rows_sent'), self::counted('Handler_read%')];
            $status = $this->get($url)->status();
            [$sent, $read] = [self::counted('Rows_sent') - $sent, self::counted('Handler_read%') - $read];
            DB::disableQueryLog();
            self::assertContains($status, [200, 302], "$name $url");
            $asked[$name] = [count(DB::getQueryLog()), $sent, $read];
        }

        return $asked;
    }

    private static function counted(string $what): int
    {
        return (int) array_sum(
            array_map(static fn(\stdClass $row): int => (int) $row->Value, DB::select("SHOW SESSION STATUS LIKE '$what'")),
        );
    }

    /** @return array<string, string> every page that is looked at, by its route; one whose parameter is not known here fails */
    private function pages(): array
    {
        $known = [
            'pair' => $this->pair()->id,
            'lot' => $this->lot('Q-31')->id,
            'thermometer' => $this->thermometer()->id,
            'batch' => $this->batch()->id,
            'what' => ThingKind::Bottle->value,
            'policy' => $this->pair()->policy->id,
            'person' => Person::query()->whereRelation('credential', 'username', 'perrin')->value('id'),
            'verification' => Verification::query()->where('id', '<', self::APART)->max('id'),
            'calibration' => Calibration::query()->where('id', '<', self::APART)->max('id'),
            'run' => CalibrationRun::query()->where('id', '<', self::APART)->max('id'),
            'measurement' => Measurement::query()->where('id', '<', self::APART)->max('id'),
            'draft' => MeasurementDraft::query()->max('id'),
            'product' => $this->batch()->product_id,
            'method' => $this->batch()->product->method_id,
            'deviation' => Deviation::query()->where('id', '<', self::APART)->max('id'),
            'code' => 'kombucha',
            'standard' => 'slurry',
            'calculator' => 'blend',
            'round' => Round::query()->where('id', '<', self::APART)->max('id'),
            'log' => LogUpload::query()->max('id') ?? 0,
        ];
        $pages = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            // A log is shown to nobody but who uploaded it, and holds no more than its own points.
            if (
                in_array('GET', $route->methods(), true)
                && in_array('auth', $route->gatherMiddleware(), true)
                && !str_starts_with($route->uri(), 'logs/')
            ) {
                $pages[(string) $route->getName()]
                    = '/'
                    . preg_replace_callback(
                        '/\{(\w+)\}/',
                        static fn(array $match): string => (string) ($known[$match[1]]
                            ?? self::fail("No example of {$match[1]} for {$route->uri()}.")),
                        $route->uri(),
                    );
            }
        }
        $pages['find.many'] = '/find?q=ch';
        $pages['find.words'] = '/find?q=chilli+vat';
        $pages['find.misspelt'] = '/find?q=chlili';
        $pages['batches.closed'] = '/batches?state=closed';
        $pages['batches.product'] = '/batches?product=chilli-sauce-red';
        $pages['batches.vessel'] = '/batches?vessel=vat+2';
        $pages['batches.due'] = '/batches?sort=deadline';
        $pages['batches.codes'] = '/batches?sort=code';

        return $pages;
    }

    /** Copies of everything that happened, each with what belongs to it: bottles that were discarded, batches that were closed. */
    private function multiply(): void
    {
        $owner = DB::connection('owner');
        $schema = $owner->getSchemaBuilder();
        $tables = array_values(array_diff($schema->getTableListing(schemaQualified: false), self::ONCE));
        $owner->statement('SET FOREIGN_KEY_CHECKS = 0');
        foreach ($tables as $table) {
            $number = self::NUMBERED_BY[$table] ?? 'id';
            $foreign = [];
            foreach ($schema->getForeignKeys($table) as $key) {
                $foreign[$key['columns'][0]] = $key['foreign_table'];
            }
            for ($copy = 1; $copy < self::TIMES; $copy++) {
                $apart = $copy * self::APART;
                $columns = $schema->getColumnListing($table);
                $values = array_map(
                    static fn(string $column): string => match (true) {
                        $column === $number => "`$column` + $apart",
                        $column === 'open_pair_id' => 'null',
                        $column === 'immersion_id' => "immersion_id + $apart",
                        in_array($column, ['username', 'uuid'], true) => "concat(`$column`, '$copy')",
                        in_array($column, ['hash', 'code_sha256'], true) => "sha2(concat(`$column`, '$copy'), 256)",
                        isset($foreign[$column]) && in_array($foreign[$column], $tables, true) => "`$column` + $apart",
                        $column === 'code' => "concat(code, '/$copy')",
                        // A digest, not a prefix: a random number may begin with the prefix already.
                        in_array($column, ['series', 'idempotency_key'], true) => "insert(insert(md5(concat(`$column`, '/$copy')), 13, 1, "
                            . "'4'), 17, 1, '8')",
                        default => "`$column`",
                    },
                    $columns,
                );
                $owner->statement(
                    "insert into `$table` ("
                        . implode(', ', array_map(static fn(string $column): string => "`$column`", $columns))
                        . ') select '
                        . implode(', ', $values)
                        . " from `$table` where $number < "
                        . self::APART,
                );
            }
        }
        $owner
            ->table('batch_events')
            ->where('id', '>', self::APART)
            ->update(['state' => 'closed']);
        $owner->statement(
            "insert into lot_events (lot_id, kind, at, person_id) select id, 'discarded', '2026-11-24 09:00:00', (select min(id) from "
                . "people) from lots where id > "
                . self::APART,
        );
        $owner->statement('SET FOREIGN_KEY_CHECKS = 1');
    }
}
