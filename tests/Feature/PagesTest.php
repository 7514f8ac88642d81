<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Rheacid\Board\Board;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Deviation;
use Rheacid\Models\LogUpload;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\Round;
use Rheacid\Models\Verification;
use Rheacid\Shelf\NewThing;

/** No page reads a history: on a plant with ten times the past every page asks the same number of questions, and gets as much as it shows. */
final class PagesTest extends BenchTestCase
{
    private const TIMES = 10;

    /** Far above every id of the demo, so that the copies are told apart. */
    private const APART = 1_000_000;

    /** What a list may show more when there is more: a page of it, or the points of a figure. */
    private const SHOWN = 900;

    /** Tables that are not multiplied: what stands on the bench, and what is not asked by any page. */
    private const ONCE = ['appointments', 'assignments', 'bench_cells', 'bench_cups', 'bench_electrodes', 'bench_immersions', 'bench_thermometers', 'board', 'cache', 'credentials', 'electrodes', 'idempotency_keys', 'ledger', 'measurement_drafts', 'meters', 'methods', 'migrations', 'pairs', 'partings', 'people', 'policies', 'recording_gate', 'policy_assignments', 'product_limits', 'products', 'site_elevations', 'sites', 'thermometer_services', 'thermometers', 'traces', 'waits', 'log_uploads', 'draft_events'];

    public function test_on_ten_times_the_past_every_page_asks_as_much_as_on_the_demo(): void
    {
        self::emptyDatabase();
        self::countFromOne();
        CarbonImmutable::setTestNow('2026-11-24T09:41:00Z');
        app(Scenario::class)->load(self::PASSPHRASE);
        $lines = self::board();
        Board::rebuild();
        self::assertSame($lines, self::board(), 'the board is what its records say, as it was written along the way');

        $small = $this->asked();
        $this->multiply();
        Board::rebuild();
        $large = $this->asked();

        $grown = [];
        foreach ($large as $page => [$queries, $rows]) {
            [$before, $shown] = $small[$page];
            if ($queries > $before || $rows > $shown + self::SHOWN) {
                $grown[] = "$page: $before → $queries queries, $shown → $rows rows";
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
        return array_values(DB::table('board')->orderBy('part')->orderBy('thing_id')->get()->map(static fn(object $row): string => json_encode($row, JSON_THROW_ON_ERROR))->all());
    }

    /** @return array<string, array{int, int}> queries and rows sent, by page */
    private function asked(): array
    {
        $this->actingAs(Person::query()->whereRelation('credential', 'username', 'sela')->firstOrFail());
        $asked = [];
        foreach ($this->pages() as $name => $url) {
            $this->get($url);
            app()->forgetScopedInstances();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $before = self::sent();
            $status = $this->get($url)->status();
            $rows = self::sent() - $before - 1;
            DB::disableQueryLog();
            self::assertContains($status, [200, 302], "$name $url");
            $asked[$name] = [count(DB::getQueryLog()) - 1, $rows];
        }

        return $asked;
    }

    private static function sent(): int
    {
        return (int) DB::selectOne("SHOW SESSION STATUS LIKE 'Rows_sent'")->Value;
    }

    /** @return array<string, string> every page that is looked at, by its route; one whose parameter is not known here fails */
    private function pages(): array
    {
        $known = [
            'pair' => $this->pair()->id,
            'lot' => $this->lot('Q-31')->id,
            'thermometer' => $this->thermometer()->id,
            'batch' => $this->batch()->id,
            'what' => NewThing::Bottle->value,
            'policy' => $this->pair()->policy->id,
            'person' => $this->people['second']->id ?? 0,
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
            if (in_array('GET', $route->methods(), true) && in_array('auth', $route->gatherMiddleware(), true) && !str_starts_with($route->uri(), 'logs/') && !str_starts_with($route->uri(), 'hands/')) {
                $pages[(string) $route->getName()] = '/' . preg_replace_callback('/\{(\w+)\}/', static fn(array $match): string => (string) ($known[$match[1]] ?? self::fail("No example of {$match[1]} for {$route->uri()}.")), $route->uri());
            }
        }
        $pages['find.many'] = '/find?q=H';
        $pages['batches.closed'] = '/batches?state=closed';

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
            $foreign = [];
            foreach ($schema->getForeignKeys($table) as $key) {
                $foreign[$key['columns'][0]] = $key['foreign_table'];
            }
            for ($copy = 1; $copy < self::TIMES; $copy++) {
                $apart = $copy * self::APART;
                $columns = $schema->getColumnListing($table);
                $values = array_map(static fn(string $column): string => match (true) {
                    $column === 'id' => "id + $apart",
                    isset($foreign[$column]) && in_array($foreign[$column], $tables, true) => "`$column` + $apart",
                    $column === 'code' => "concat(code, '/$copy')",
                    $column === 'series' => "concat(lpad('$copy', 4, '0'), substr(series, 5))",
                    default => "`$column`",
                }, $columns);
                $owner->statement("insert into `$table` (" . implode(', ', array_map(static fn(string $column): string => "`$column`", $columns)) . ') select ' . implode(', ', $values) . " from `$table` where id < " . self::APART);
            }
        }
        $owner->table('batch_events')->where('id', '>', self::APART)->update(['state' => 'closed']);
        $owner->statement("insert into lot_events (lot_id, kind, at, person_id) select id, 'discarded', '2026-11-24 09:00:00', (select min(id) from people) from lots where id > " . self::APART);
        $owner->statement('SET FOREIGN_KEY_CHECKS = 1');
    }
}
