<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Rheacid\Models\AccessDigest;

/** Who came and went, and who tried. */
final class AccessTest extends BenchTestCase
{
    public function test_every_sign_in_sign_out_and_failure_is_logged_without_secrets(): void
    {
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => 'not-hers-at-all']);
        $this->post('/sign-in', ['username' => "no\tbody", 'passphrase' => 'x']);
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertRedirect('/');
        $this->post("/hands/{$this->people['second']->id}", ['pin' => '0000-wrong']);
        $this->post('/sign-out');

        self::assertSame(
            ['wrong-passphrase', 'wrong-passphrase', 'signed-in', 'wrong-pin', 'signed-out'],
            DB::table('access_log')->orderBy('id')->pluck('kind')->all(),
        );
        self::assertSame(
            ['oda', 'nobody', $this->people['checker']->name, $this->people['second']->name, $this->people['checker']->name],
            DB::table('access_log')->orderBy('id')->pluck('name')->all(),
        );
        self::assertSame(5, DB::table('access_log')->where('address', '127.0.0.1')->count());
        $all = (string) json_encode(DB::table('access_log')->get());
        self::assertStringNotContainsString('not-hers-at-all', $all);
        self::assertStringNotContainsString('0000-wrong', $all);
        self::assertStringNotContainsString(self::PASSPHRASE, $all);
    }

    public function test_who_is_made_to_wait_is_logged(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $last = $this->post('/sign-in', ['username' => 'oda', 'passphrase' => 'x']);
        }

        $last->assertSessionHasErrors(['username' => 'Too many attempts: wait 30 s, then try again.']);
        self::assertSame(
            ['made-to-wait', 'oda'],
            array_values(
                (array) DB::table('access_log')
                    ->orderByDesc('id')
                    ->first(['kind', 'name']),
            ),
        );
    }

    public function test_an_idle_sign_out_is_logged_as_well(): void
    {
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE]);
        $this->get('/');
        $this->wait(31 * 60);
        $this->get('/batches')->assertRedirect('/sign-in');

        self::assertSame('walked-away', DB::table('access_log')->orderByDesc('id')->value('kind'));
    }

    public function test_lead_and_auditor_read_and_search_it_and_a_checker_does_not(): void
    {
        foreach (['oda', 'perrin', 'odd one'] as $name) {
            $this->post('/sign-in', ['username' => $name, 'passphrase' => 'x']);
        }
        $this->actingAs($this->people['checker'])->get('/access')->assertForbidden();
        foreach (['lead', 'auditor'] as $role) {
            $this->flushSession();
            $this->actingAs($this->people[$role])
                ->get('/access')
                ->assertOk()
                ->assertSeeInOrder(['odd one', 'perrin', 'oda']);
        }
        $this->get('/access?name=od')->assertSee('odd one')->assertDontSee('perrin');
        $this->get('/access?kind=signed-in')->assertDontSee('odd one')->assertSee('No entry matches.');
        $this->get('/access?kind=nonsense&name=%25')->assertOk();
    }

    public function test_a_day_is_sealed_once_it_is_over_and_an_altered_line_is_found(): void
    {
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => 'x']);
        Artisan::call('rheacid:access');
        self::assertSame(0, AccessDigest::query()->count(), 'the day goes on');

        $this->wait(86_400);
        Artisan::call('rheacid:access');
        Artisan::call('rheacid:access');
        self::assertSame(1, AccessDigest::query()->sole()->entries);
        self::assertSame(0, Artisan::call('ledger:verify'));

        DB::connection('owner')
            ->table('access_log')
            ->update(['name' => 'somebody else']);
        self::assertSame(1, Artisan::call('ledger:verify'));
        self::assertStringContainsString('the access log of 2026-11-25 differs from its sealed digest', Artisan::output());
    }

    public function test_days_on_which_the_machine_was_off_are_sealed_when_it_runs_again(): void
    {
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => 'x']);
        $this->wait(3 * 86_400);
        Artisan::call('rheacid:access');

        self::assertSame([1, 0, 0], AccessDigest::query()->orderBy('day')->pluck('entries')->all());
    }
}
