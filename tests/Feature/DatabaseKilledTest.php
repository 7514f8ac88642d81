<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;

/** The database process is killed at the worst moments; the same form is sent again when it is back. */
final class DatabaseKilledTest extends BenchTestCase
{
    protected function tearDown(): void
    {
        self::startDatabase();
        parent::tearDown();
    }

    public function test_killed_before_the_commit_of_a_reading_nothing_is_recorded_until_it_is_sent_again(): void
    {
        [$url, $form] = $this->readyToRecord();
        Event::listen(TransactionCommitting::class, static fn() => self::kill());

        $this->post($url, $form)->assertStatus(503)->assertSee('Nothing was partly recorded');
        Event::forget(TransactionCommitting::class);
        self::startDatabase();
        self::assertSame(0, Measurement::query()->count());

        $this->post($url, $form)->assertRedirect();
        $this->assertRecordedOnce();
    }

    public function test_killed_after_the_commit_but_before_the_answer_it_is_still_recorded_once(): void
    {
        [$url, $form] = $this->readyToRecord();
        Event::listen(TransactionCommitted::class, static function (): never {
            self::kill();
            throw new \PDOException('server has gone away with the answer');
        });

        $this->post($url, $form)->assertStatus(503);
        Event::forget(TransactionCommitted::class);
        self::startDatabase();

        $this->post($url, $form)->assertRedirect('/readings/' . Measurement::query()->sole()->id);
        $this->assertRecordedOnce();
    }

    /** @return array{string, array{form: string}} */
    private function readyToRecord(): array
    {
        $this->calibrate();
        $draft = $this->begin();
        foreach ([4.45, 4.46] as $ph) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }
        $this->actingAs($this->people['checker']);

        return ["/drafts/{$draft->id}/reading", ['form' => self::formId()]];
    }

    private function assertRecordedOnce(): void
    {
        self::assertSame([1, 1], [Measurement::query()->count(), Decision::query()->count()]);
        self::assertSame(1, DB::table('ledger')->where('table_name', 'measurements')->count());
        self::assertNull(MeasurementDraft::query()->sole()->open_pair_id);
        self::assertNull(LedgerCheck::run()['difference']);
    }

    private static function kill(): void
    {
        $pid = (int) file_get_contents(getenv('RHEACID_HOME') . '/db/mariadb.pid');
        posix_kill($pid, SIGKILL);
        while (posix_kill($pid, 0)) {
            usleep(20_000);
        }
    }

    /** With the very command that bin/start would use. */
    private static function startDatabase(): void
    {
        $port = config('database.connections.bench.port');
        $script = sprintf(
            '. %s/ops/house.sh; instance %s 0 %d; DATABASE_FLUSH=2; command_of mariadb; cd "$(place_of mariadb)"; "${COMMAND[@]}" > '
                . '/dev/null 2>&1 < /dev/null & disown; until_up mariadb',
            escapeshellarg(base_path()),
            basename((string) getenv('RHEACID_HOME')),
            is_numeric($port) ? (int) $port : 0,
        );
        exec('bash -c ' . escapeshellarg($script) . ' > /dev/null 2>&1', result_code: $status);
        self::assertSame(0, $status, 'MariaDB came up again');
        DB::purge('bench');
        DB::purge('owner');
    }
}
