<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\SealedTables;

final class LedgerTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->calibrate();
        $this->vouch();
        $this->measure([4.45, 4.46]);
    }

    public function test_an_untouched_ledger_is_intact(): void
    {
        self::assertSame(0, Artisan::call('ledger:verify'));
        self::assertStringContainsString('every record matches its line', Artisan::output());
    }

    public function test_a_reading_and_its_decision_are_sealed_together_in_one_line(): void
    {
        $line = DB::table('ledger')->where('table_name', 'measurements')->sole();

        self::assertSame('record a measurement', $line->action);
        self::assertSame(['decisions', 'limit_outcomes', 'measurements'], array_keys((array) json_decode((string) $line->payload, true)));
    }

    public function test_an_altered_row_is_named(): void
    {
        DB::connection('owner')
            ->table('decisions')
            ->update(['value' => 4.2]);

        $decision = Decision::query()->firstOrFail();
        self::assertMatchesRegularExpression(
            "/^row {$decision->id} of decisions was altered \\(value\\)/",
            (string) LedgerCheck::run()['difference'],
        );
        self::assertSame(1, Artisan::call('ledger:verify'));
        self::assertStringContainsString('First difference: row', Artisan::output());
    }

    public function test_an_altered_line_is_named(): void
    {
        $seq = (int) DB::table('ledger')->where('table_name', 'measurements')->value('seq');
        DB::connection('owner')
            ->table('ledger')
            ->where('seq', $seq)
            ->update(['person_id' => $this->people['lead']->id]);

        self::assertSame("ledger line $seq was altered", LedgerCheck::run()['difference']);
    }

    public function test_a_line_taken_out_is_named(): void
    {
        DB::connection('owner')->table('ledger')->where('seq', 3)->delete();

        self::assertSame('ledger line 3 is missing', LedgerCheck::run()['difference']);
    }

    public function test_a_truncated_ledger_is_noticed_by_the_records_left_behind(): void
    {
        DB::connection('owner')->table('ledger')->orderByDesc('seq')->limit(1)->delete();

        self::assertMatchesRegularExpression('/^row \d+ of \w+ is in no ledger line/', (string) LedgerCheck::run()['difference']);
    }

    public function test_a_ledger_truncated_with_its_records_is_noticed_by_the_head_on_paper(): void
    {
        $head = LedgerCheck::run()['head'];
        $owner = DB::connection('owner');
        foreach (['limit_outcomes', 'decisions'] as $table) {
            $owner->table($table)->delete();
        }
        $owner->table('measurements')->delete();
        $owner->table('ledger')->orderByDesc('seq')->limit(1)->delete();

        self::assertNull(LedgerCheck::run()['difference']);
        self::assertStringContainsString('its end was removed', (string) LedgerCheck::run($head)['difference']);
    }

    public function test_a_row_taken_out_is_named(): void
    {
        DB::connection('owner')->table('batch_events')->orderByDesc('id')->limit(1)->delete();

        self::assertMatchesRegularExpression(
            '/^row \d+ of batch_events, sealed in ledger line \d+, is missing$/',
            (string) LedgerCheck::run()['difference'],
        );
    }

    /** @return iterable<string, array{string}> */
    public static function recordTables(): iterable
    {
        foreach ([...SealedTables::all(), 'ledger', 'idempotency_keys'] as $table) {
            yield $table => [$table];
        }
    }

    #[DataProvider('recordTables')]
    public function test_the_applications_account_can_neither_change_nor_remove_a_record(string $table): void
    {
        $column = $table === 'ledger' ? 'seq' : 'id';
        foreach (["UPDATE `$table` SET `$column` = `$column`", "DELETE FROM `$table`", "DROP TABLE `$table`"] as $statement) {
            try {
                DB::statement($statement);
                self::fail("$statement was allowed.");
            } catch (QueryException $refusal) {
                self::assertStringContainsString('denied', $refusal->getMessage());
            }
        }
    }

    public function test_a_record_refuses_to_be_changed_by_our_own_code_too(): void
    {
        $this->expectException(\LogicException::class);

        Measurement::query()
            ->firstOrFail()
            ->update(['reason' => 'tidied up']);
    }
}
