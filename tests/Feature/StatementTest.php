<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Style;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Deviation;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Verification;
use Rheacid\Records\LedgerCheck;

/** Records keep codes and facts where the application says something; people read sentences. */
final class StatementTest extends BenchTestCase
{
    public function test_a_deviation_and_a_hold_keep_facts_and_are_read_in_the_style_of_the_site(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->wait(8 * 24 * 3600);
        $this->calibrate();
        $this->vouch();
        $this->measure([4.9, 4.9]);
        $deviation = Deviation::query()->where('limit_name', 'Acid within a week')->firstOrFail();
        $held = BatchEvent::query()->where('state', 'held')->firstOrFail();

        self::assertJson((string) $deviation->getRawOriginal('what'));
        self::assertStringContainsString('pH ≤ 4.6, missed by 0.3', (string) $deviation->what);
        self::assertStringNotContainsString('not met', (string) $deviation->getRawOriginal('what'), 'no words are sealed');
        self::assertSame('Critical limit not met: pH ≤ 4.6', $held->reason);
        Style::use(true, false);
        self::assertSame('Critical limit not met: pH ≤ 4,6', $held->refresh()->reason);
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_an_older_row_shows_its_own_words_and_what_a_person_writes_is_never_a_statement(): void
    {
        self::assertSame(
            'Critical limit not met, by the words of then',
            Statement::fromColumn('Critical limit not met, by the words of then'),
        );
        $typed = '{"code":"begun"}';
        self::assertSame($typed, trim((string) Statement::fromColumn(Statement::toColumn($typed))));
        self::assertSame('{"code":"nobody-knows"}', Statement::fromColumn('{"code":"nobody-knows"}'));

        $this->actingAs($this->people['checker'])
            ->post("/batches/{$this->batch()->id}/state", ['state' => 'held', 'reason' => $typed, 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        self::assertSame($typed, trim((string) $this->batch()->newestEvent?->reason));
    }

    public function test_every_statement_of_the_demo_makes_a_sentence(): void
    {
        self::emptyDatabase();
        CarbonImmutable::setTestNow('2026-11-24T09:41:00Z');
        app(\Database\Demo\Scenario::class)->load(self::PASSPHRASE);
        $kept = [];
        foreach (
            [
                'deviations' => 'what',
                'batch_events' => 'reason',
                'run_events' => 'reason',
                'verifications' => 'rests_on',
                'warnings' => 'words',
                'products' => 'changed_because',
            ] as $table => $column
        ) {
            $kept = [...$kept, ...DB::table($table)->whereNotNull($column)->pluck($column)->all()];
        }
        $codes = [];
        foreach ([...$kept, ...Verification::query()->toBase()->pluck('interval_why')->all()] as $column) {
            $facts = json_decode((string) $column, true);
            if (is_array($facts) && StatementCode::tryFrom((string) $facts['code']) !== null) {
                $codes[$facts['code']] = true;
                self::assertDoesNotMatchRegularExpression('/[{}]|\s\s|^\s*$|: $/', (string) Statement::fromColumn((string) $column));
            }
        }

        self::assertGreaterThanOrEqual(8, count($codes), implode(' ', array_keys($codes)));
    }
}
