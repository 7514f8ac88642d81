<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Route;
use Rheacid\Actions\Site\ChangeSettings;
use Rheacid\Actions\Site\RecordRestoration;
use Rheacid\Board\Board;
use Rheacid\Board\Restyle;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Style;
use Rheacid\Mail\KeepingLetter;
use Rheacid\Models\Credential;
use Rheacid\Models\RestorationConfirmation;
use Rheacid\Operations\Backups;
use Rheacid\Operations\Home;
use Rheacid\Operations\InstallationHealth;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Ledger;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Schema;
use Rheacid\Site\Settings;
use Symfony\Component\Console\Output\BufferedOutput;

/** How the records are kept: their form, checkpoints of their chain, backups, and that they came back from one. */
final class KeepingTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // As the scripts of root would write there.
        config(['rheacid.told' => storage_path('framework')]);
    }

    protected function tearDown(): void
    {
        array_map(static fn(string $file): bool => @unlink(Home::mark($file)), ['keeping', 'keeper', 'started']);
        parent::tearDown();
    }

    public function test_the_form_of_the_database_is_the_one_written_down_and_a_change_is_named(): void
    {
        self::assertSame(
            ['difference' => null, 'unseen' => ['rights of other accounts']],
            Schema::compare(),
            'php artisan rheacid:schema writes it down anew after a migration',
        );

        $owner = DB::connection('owner');
        foreach (
            [
                ['alter table batches add column slipped int null', 'alter table batches drop column slipped', 'batches.slipped'],
                [
                    'alter table samples modify place varchar(41) not null',
                    'alter table samples modify place varchar(40) not null',
                    'samples.place',
                ],
                [
                    'create trigger tricky before insert on samples for each row set new.place = new.place',
                    'drop trigger tricky',
                    'trigger tricky',
                ],
                ['create procedure tricky() select 1', 'drop procedure tricky', 'routine procedure tricky'],
                ['create event tricky on schedule every 1 day do select 1', 'drop event tricky', 'event tricky'],
                ['create view tricky as select 1', 'drop view tricky', 'tricky'],
                [
                    'alter table samples drop foreign key samples_occasion_id_foreign, add constraint samples_occasion_id_other foreign '
                        . 'key (occasion_id) references occasions (id) on delete cascade',
                    'alter table samples drop foreign key samples_occasion_id_other, add constraint samples_occasion_id_foreign foreign '
                        . 'key (occasion_id) references occasions (id)',
                    'foreign samples.occasion_id',
                ],
                [
                    "grant delete on samples to 'rheacid_app'@'127.0.0.1'",
                    "revoke delete on samples from 'rheacid_app'@'127.0.0.1'",
                    'right samples',
                ],
            ] as [$do, $undo, $named]
        ) {
            $owner->statement($do);
            $difference = Schema::compare()['difference'];
            $owner->statement($undo);
            self::assertStringContainsString($named, (string) $difference);
        }
        self::assertSame(['difference' => null, 'unseen' => ['rights of other accounts']], Schema::compare());
    }

    public function test_without_the_owners_password_the_unchecked_parts_are_named(): void
    {
        config(['database.connections.owner.password' => '']);

        self::assertSame(
            ['difference' => null, 'unseen' => ['foreign keys', 'checks', 'triggers', 'routines', 'events', 'rights of other accounts']],
            Schema::compare(),
            'and a page that asks with the application’s account claims no difference',
        );
    }

    public function test_a_check_goes_on_from_a_checkpoint_that_must_still_be_there(): void
    {
        $this->calibrate();
        $checkpoint = LedgerCheck::run();
        $this->measure([4.45, 4.46]);

        $since = LedgerCheck::run($checkpoint['head'], $checkpoint['lines']);
        self::assertSame([null, Ledger::head()], [$since['difference'], $since['head']]);
        self::assertGreaterThan($checkpoint['lines'], $since['lines']);

        self::assertStringContainsString(
            'is no longer the checkpoint',
            (string) LedgerCheck::run(str_repeat('0', 64), $checkpoint['lines'])['difference'],
        );
        self::assertStringContainsString(
            'is no longer the checkpoint',
            (string) LedgerCheck::run($checkpoint['head'], 999_999)['difference'],
        );
        DB::connection('owner')
            ->table('replicates')
            ->orderByDesc('id')
            ->limit(1)
            ->update(['mv' => 1]);
        self::assertStringContainsString(
            'of replicates was altered',
            (string) LedgerCheck::run($checkpoint['head'], $checkpoint['lines'])['difference'],
        );
    }

    public function test_a_restoration_is_on_record_and_a_lead_confirms_it_once(): void
    {
        $restoration = app(RecordRestoration::class)(CarbonImmutable::now()->subHours(5), str_repeat('a', 64), [str_repeat('b', 64)]);
        $this->actingAs($this->people['checker'])->get('/')->assertDontSee('Restored from a backup.');
        $this->post("/restorations/$restoration->id", ['form' => self::formId()])->assertForbidden();

        $this->flushSession();
        $this->actingAs($this->people['lead'])->get('/')->assertSee('Restored from a backup.')->assertSee('1 later heads');
        $this->post("/restorations/$restoration->id", ['form' => self::formId()])->assertSessionHasNoErrors();
        $this->post("/restorations/$restoration->id", ['form' => self::formId()])->assertSessionHasErrors();

        $this->get('/')->assertDontSee('Restored from a backup.');
        self::assertSame(1, RestorationConfirmation::query()->count());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_records_of_an_earlier_version_are_proven_before_they_are_brought_up_to_date(): void
    {
        $owner = DB::connection('owner');
        // As it was before there were rounds.
        $owner->statement('RENAME TABLE round_visits TO later');
        try {
            $check = LedgerCheck::run();
            $schema = Schema::compare();
        } finally {
            $owner->statement('RENAME TABLE later TO round_visits');
        }

        self::assertNull($check['difference']);
        self::assertStringContainsString('round_visits', (string) $schema['difference'], 'and a table that is gone is named');
    }

    public function test_the_installation_tests_itself_beside_its_records(): void
    {
        $head = Ledger::head();
        $said = new BufferedOutput();
        self::assertSame(0, Artisan::call('rheacid:self-test', [], $said));
        self::assertMatchesRegularExpression(
            '/^(\d{3}) of \1 published examples correct; a record was written, verified, altered and found in a scratch ledger$/',
            trim($said->fetch()),
        );
        self::assertSame($head, Ledger::head());
        self::assertSame([], DB::connection('owner')->select("SHOW DATABASES LIKE 'rheacid_scratch'"));

        file_put_contents(
            Home::mark('keeping'),
            sprintf('self-test failed %s 353 of 354 published examples correct', CarbonImmutable::now()->toIso8601ZuluString()),
        );
        $this->actingAs($this->people['lead'])->get('/')->assertSee('The self-test failed')->assertSee('353 of 354');
        $this->get('/system')->assertSee('as of')->assertSee('The self-test failed')->assertSee('Sela Thornmere')->assertSee($head);
        unlink(Home::mark('keeping'));
    }

    public function test_a_person_disabled_since_a_backup_is_named_after_its_restoration(): void
    {
        $second = $this->people['second'];
        $this->actingAs($this->people['lead'])
            ->post("/people/$second->id/appointment", ['role' => 'checker', 'reason' => 'left', 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        // As a backup of before would have them again.
        $this->post("/people/$second->id/appointment", [
            'role' => 'checker',
            'enabled' => '1',
            'reason' => 'as before',
            'form' => self::formId(),
        ]);

        Artisan::call('rheacid:restored', [
            'taken' => '2026-11-24T00:00:00Z',
            'head' => str_repeat('a', 64),
            '--gone' => "$second->id 987",
            '--unproven' => '12',
        ]);
        $this->get('/')
            ->assertSee('Perrin Quillby: disabled after the backup')
            ->assertSee('12 ledger entries are newer than the last head');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_lead_is_told_of_a_backup_that_is_old_or_failed_and_of_records_that_differ(): void
    {
        $now = CarbonImmutable::now();
        $told = static function (string ...$lines) use (&$now): array {
            file_put_contents(
                Home::mark('keeping'),
                implode("\n", ["verification done {$now->subDay()->toIso8601ZuluString()} whole", ...$lines]),
            );

            return Backups::now()->problems($now);
        };
        self::assertSame([], Backups::now()->problems($now), 'founded just now');
        $now = $now->addDays(3);
        self::assertSame(
            ['No backup has been made yet: Run bin/backup.', 'The records have never been verified: Run bin/verify.'],
            Backups::now()->problems($now),
        );
        self::assertStringContainsString(
            'The records have not been verified since',
            $told(
                "backup done {$now->toIso8601ZuluString()} there",
                "verification done {$now->subDays(3)->toIso8601ZuluString()} whole",
            )[0],
        );
        self::assertSame([], $told("backup done {$now->subDays(2)->toIso8601ZuluString()} there"));
        self::assertStringContainsString(
            'No backup since',
            $told("backup done {$now->subDays(2)->subMinute()->toIso8601ZuluString()} there")[0],
        );
        self::assertStringContainsString(
            'The last backup failed',
            $told(
                "backup done {$now->subHours(3)->toIso8601ZuluString()} there",
                "backup failed {$now->subHour()->toIso8601ZuluString()} the disk is full",
            )[0],
        );
        self::assertSame(
            [],
            $told(
                "backup failed {$now->subHours(3)->toIso8601ZuluString()} the disk is full",
                "backup done {$now->subHour()->toIso8601ZuluString()} there",
            ),
            'a later one went well',
        );
        $told(
            "backup done {$now->subHour()->toIso8601ZuluString()} there",
            "verification failed {$now->toIso8601ZuluString()} row 7 of samples is gone",
        );
        CarbonImmutable::setTestNow($now);
        $this->actingAs($this->people['lead'])->get('/')->assertSee('row 7 of samples is gone');
        $this->flushSession();
        $this->actingAs($this->people['checker'])->get('/')->assertDontSee('row 7 of samples is gone');
    }

    public function test_after_a_clock_that_ran_ahead_a_lead_states_the_true_time_and_recording_goes_on(): void
    {
        $sound = $this->calibrate();
        $this->wait(3 * 86_400);
        $this->calibrate();
        $this->vouch();
        $ahead = $this->measure([4.45, 4.46]);
        CarbonImmutable::setTestNow('2026-11-25T11:00:00Z');
        $this->actingAs($this->people['checker'])
            ->post("/batches/{$this->batch()->id}/notes", ['note' => 'x', 'form' => self::formId()])
            ->assertSessionHasErrors('clock');
        $this->post('/keeping/true-time', ['reason' => 'x', 'is_right' => '1', 'form' => self::formId()])->assertForbidden();

        $this->flushSession();
        $this->actingAs($this->people['lead'])->get('/keeping')->assertSee('Recording is stopped.');
        $this->post('/keeping/true-time', ['reason' => 'a flat battery', 'form' => self::formId()])->assertSessionHasErrors('is_right');
        $this->post('/keeping/true-time', [
            'reason' => 'a flat battery',
            'is_right' => '1',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->get('/keeping')
            ->assertDontSee('Recording is stopped.')
            ->assertSee('a flat battery')
            ->assertSee('Readings with a wrong time')
            ->assertSee('CS-0417');

        $this->post("/batches/{$this->batch()->id}/notes", ['note' => 'it goes on', 'form' => self::formId()])->assertSessionHasNoErrors();
        self::assertTrue($ahead->refresh()->load('calibration.void')->isInDoubt(), 'what vouched for it carries a time that never was');
        self::assertNull($sound->refresh()->void);
        $this->post('/keeping/true-time', ['reason' => 'again', 'is_right' => '1', 'form' => self::formId()])->assertSessionHasErrors();
        self::assertNull(LedgerCheck::run()['difference'], 'time goes back with the statement alone');
    }

    public function test_the_head_of_the_records_goes_to_leads_and_auditors_with_what_is_wrong(): void
    {
        Mail::fake();
        foreach (['checker' => 'oda', 'lead' => 'sela', 'auditor' => 'ilko'] as $role => $name) {
            Credential::query()
                ->whereKey($this->people[$role]->id)
                ->update(['email' => "$name@works.example"]);
        }

        $this->wait(3 * 86_400);
        Artisan::call('rheacid:keepers');

        Mail::assertQueuedCount(2);
        Mail::assertQueued(
            KeepingLetter::class,
            static fn(KeepingLetter $letter): bool => $letter->hasTo('ilko@works.example')
                && $letter->head === Ledger::head()
                && $letter->problems !== []
                && str_contains($letter->render(), Ledger::head()),
        );
    }

    public function test_a_failure_is_one_line_under_the_number_that_the_page_shows_however_deep_it_is_wrapped(): void
    {
        Route::get(
            '/away',
            static fn() => throw new \RuntimeException(
                'a view',
                0,
                new \RuntimeException('within', 0, new \PDOException("server has gone away\nfor now")),
            ),
        );
        Route::get('/broken', static fn() => throw new \RuntimeException("a mistake\nof ours"));
        config(['app.debug' => false]);
        $log = storage_path('logs/rheacid.log');
        @unlink(storage_path('logs/last-failure'));
        $lines = static fn(): array => is_file($log) ? (file($log) ?: []) : [];
        $before = count($lines());

        $away = (string) $this->get('/away')->assertStatus(503)->assertSee('The records cannot be reached')->getContent();
        $broken = (string) $this->get('/broken')->assertStatus(500)->assertSee('Something went wrong')->getContent();
        $this->get('/broken')->assertStatus(500);

        $new = array_slice($lines(), $before);
        self::assertCount(2, $new, 'a line each, and the same a moment later fills no log');
        foreach ([$away, $broken] as $i => $page) {
            $number = preg_match('/number ([0-9a-f]{32})/', $page, $match) === 1 ? $match[1] : self::fail('no number');
            self::assertStringContainsString($number, $new[$i]);
        }
    }

    public function test_up_and_today_agree_on_what_stops_recording_and_what_needs_attention(): void
    {
        $this->actingAs($this->people['lead']);
        self::assertSame([[], []], [InstallationHealth::now()->blocks, InstallationHealth::now()->attention]);

        DB::connection('owner')
            ->table('recording_gate')
            ->update(['closed_at' => '2026-11-25 09:30:00.000']);
        try {
            $this->get('/up')->assertStatus(503)->assertContent("cannot record\n");
            $this->get('/')->assertSee('Recording has been paused since');
            Settings::forget();
            $this->get('/ready')->assertSee('Recording is paused.');
            $this->post("/batches/{$this->batch()->id}/notes", ['note' => 'x', 'form' => self::formId()])->assertSessionHasErrors(['form']);
            $this->post('/yourself/secrets/pin', ['current_passphrase' => self::PASSPHRASE, 'pin' => '850274'])->assertSessionHasErrors([
                'form' => 'Recording is paused while Rheacid is updated. What you typed is still here; send it again in a minute or two.',
            ]);
        } finally {
            DB::connection('owner')
                ->table('recording_gate')
                ->update(['closed_at' => null]);
        }
        Settings::forget();
        $this->get('/ready')->assertDontSee('Recording is paused.');
        $this->post("/batches/{$this->batch()->id}/notes", ['note' => 'x', 'form' => self::formId()])->assertSessionHasNoErrors();

        DB::table('jobs')->insert([
            'queue' => 'never',
            'payload' => '{}',
            'attempts' => 0,
            'available_at' => 0,
            'created_at' => CarbonImmutable::now()->subMinutes(61)->getTimestamp(),
        ]);
        $this->get('/up')->assertOk()->assertContent("up, needs attention\n");
        $this->get('/')->assertSee('1 e-mail has waited for more than an hour');
        DB::table('jobs')->delete();

        $this->wait(-3600);
        $this->get('/up')->assertStatus(503)->assertContent("cannot record\n");
        self::assertStringContainsString('clock is behind the records', InstallationHealth::now()->blocks[0]);
    }

    public function test_a_silent_worker_is_named_and_one_that_has_just_started_is_not(): void
    {
        CarbonImmutable::setTestNow();
        $dead = static fn(): array => array_values(
            array_filter(InstallationHealth::now()->attention, static fn(string $line): bool => str_contains($line, 'has not responded')),
        );
        touch(Home::mark('started'), time() - 100);
        self::assertSame([], $dead());

        touch(Home::mark('started'), time() - 4000);
        InstallationHealth::isAlive('queue');
        touch(Home::mark('keeper'), time() - 290);
        touch(storage_path('alive-scheduler'), time() - 310);
        self::assertStringContainsString('The scheduler', implode("\n", $dead()));
        self::assertStringNotContainsString('backup', implode("\n", $dead()));
    }

    public function test_a_check_that_could_not_be_done_is_not_one_that_failed(): void
    {
        $now = CarbonImmutable::now();
        file_put_contents(Home::mark('keeping'), "verification undone {$now->toIso8601ZuluString()} the database was away");
        self::assertSame(['The records could not be verified, 10:00: the database was away'], Backups::now()->problems($now));

        config(['database.connections.bench.password' => 'not it']);
        DB::purge('bench');
        self::assertSame(3, Artisan::call('ledger:verify'));
    }

    public function test_a_board_that_differs_from_the_records_is_named(): void
    {
        $this->brew('kombucha', 'KB-0001', '2026-11-25T06:00');
        self::assertNull(Board::difference());
        $batch = DB::table('board')->where('part', 'batch')->orderBy('thing_id');
        $state = $batch->value('state');

        (clone $batch)->limit(1)->update(['state' => 'released']);
        self::assertStringContainsString('the board does not say of batch', (string) Board::difference());
        (clone $batch)->limit(1)->update(['state' => $state]);
        DB::table('board')->insert([
            'part' => 'batch',
            'thing_id' => 999_999,
            'code' => 'X',
            'is_live' => 1,
            'state' => 'running',
            'since' => '2026-11-25 10:00:00',
            'facts' => '{}',
        ]);
        self::assertStringContainsString('in no record', (string) Board::difference());
    }

    public function test_other_units_make_no_difference_between_board_and_records_and_the_lists_follow_them(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([5.2, 5.21]);
        $this->measure([5.2, 5.21], Stage::Finished);
        $found = static fn(): string => (string) DB::table('found_things')->where('part', 'deviation')->value('detail');
        self::assertStringContainsString('missed by 0.6', $found());
        self::assertStringContainsString('≤ 4.6', $this->line());

        (new ChangeSettings())($this->people['lead'], IdempotencyKey::own(), 'Quillmere', true, true, false);
        Settings::now()->write();
        self::assertNull(Board::difference(), 'written before');
        (new Restyle())->handle();
        self::assertStringContainsString('≤ 4,6', $this->line());
        self::assertStringContainsString('missed by 0,6', $found(), 'the search too');
        Style::use(false, false);
        self::assertNull(Board::difference(), 'as bin/verify looks at it');
        DB::table('board')
            ->where('part', 'batch')
            ->update(['facts' => str_replace('4,6', '4,7', $this->line())]);
        self::assertStringContainsString('the board does not say', (string) Board::difference());
    }

    private function line(): string
    {
        return (string) DB::table('board')->where('part', 'batch')->where('thing_id', $this->batch()->id)->value('facts');
    }

    public function test_up_says_whether_a_record_could_be_written_and_nothing_more(): void
    {
        self::assertSame([200, "up\n"], [$this->get('/up')->status(), $this->get('/up')->getContent()]);
        self::assertSame(0, DB::table('jobs')->count());

        config(['database.connections.bench.password' => 'not it']);
        DB::purge('bench');
        $down = $this->get('/up');
        config(['database.connections.bench.password' => config('database.connections.bench.password')]);

        self::assertSame([503, "cannot record\n"], [$down->status(), $down->getContent()]);
    }
}
