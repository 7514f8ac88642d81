<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Rheacid\Core\Access\TimeCode;
use Rheacid\Models\Person;

/** The code of a phone, the codes for when it is lost, and what a PIN gives. */
final class SecondFactorTest extends BenchTestCase
{
    private string $secret;

    public function test_with_an_authenticator_both_are_needed_and_each_code_works_once(): void
    {
        $recovery = $this->setsUp('lead');
        self::assertCount(8, $recovery);
        $this->post('/sign-out');

        $this->wait(60);
        $this->signsIn()->assertRedirect('/sign-in/code');
        $this->assertGuest();
        $this->get('/')->assertRedirect('/sign-in');
        $this->types('000000')->assertSessionHasErrors('one_time_code');
        $this->types($this->code())->assertRedirect('/');
        $this->assertAuthenticatedAs($this->people['lead']);
        $this->post('/sign-out');

        $this->signsIn();
        $this->types($this->code())->assertSessionHasErrors('one_time_code');
        $this->post('/sign-in/code', ['recovery' => strtolower($recovery[3])])->assertRedirect('/');
        $this->post('/sign-out');
        $this->signsIn();
        $this->post('/sign-in/code', ['recovery' => $recovery[3]])->assertSessionHasErrors('one_time_code');

        self::assertSame(
            ['code-on', 'signed-out', 'wrong-code', 'signed-in', 'signed-out', 'wrong-code', 'used-recovery', 'signed-out', 'wrong-code'],
            DB::table('access_log')->orderBy('id')->pluck('kind')->all(),
        );
        $kept = (string) json_encode([
            DB::table('credentials')->get(),
            DB::table('recovery_codes')->get(),
            DB::table('access_log')->get(),
            DB::table('ledger')->get(),
        ]);
        foreach ([TimeCode::base32($this->secret), base64_encode($this->secret), str_replace('-', '', $recovery[0])] as $secret) {
            self::assertStringNotContainsString($secret, $kept);
        }
    }

    public function test_each_guess_waits_longer_and_a_half_finished_sign_in_ends_after_five_minutes(): void
    {
        $this->setsUp('lead');
        $this->post('/sign-out');
        $this->signsIn();
        for ($i = 0; $i < 5; $i++) {
            $this->types("00000$i");
        }
        $this->wait(1);
        $this->types($this->code())->assertSessionHasErrors('one_time_code');
        $this->assertGuest();

        $this->wait(301);
        $this->types($this->code())->assertRedirect('/sign-in');
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
    }

    public function test_an_authenticator_is_set_up_and_removed_only_with_the_passphrase(): void
    {
        $this->actingAs($this->people['checker'])->get('/yourself/code')->assertOk();
        $this->secret = session('offered_secret');
        $this->post('/yourself/code', ['passphrase' => 'not hers', 'one_time_code' => $this->code()])->assertSessionHasErrors('passphrase');
        $this->post('/yourself/code', ['passphrase' => self::PASSPHRASE, 'one_time_code' => '123456'])->assertSessionHasErrors(
            'one_time_code',
        );
        self::assertFalse($this->people['checker']->credential()->sole()->hasCode());

        $this->setsUp('checker');
        $this->wait(30);
        $this->post('/yourself/code/off', ['passphrase' => self::PASSPHRASE, 'one_time_code' => '123456'])->assertSessionHasErrors(
            'one_time_code',
        );
        $this->post('/yourself/code/off', ['passphrase' => self::PASSPHRASE, 'one_time_code' => $this->code()])->assertSessionHasNoErrors();
        self::assertFalse($this->people['checker']->credential()->sole()->hasCode());
    }

    public function test_where_the_site_asks_its_leads_for_one_a_lead_without_it_is_none(): void
    {
        $this->setsUp('lead');
        $this->post('/settings', [
            'name' => 'Q',
            'temperatures' => 'C',
            'numbers' => 'point',
            'leads_need_code' => '1',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->post("/people/{$this->people['second']->id}/appointment", [
            'role' => 'lead',
            'enabled' => '1',
            'reason' => 'for a test',
            'form' => self::formId(),
        ]);
        $this->flushSession();

        $second = Person::query()->findOrFail($this->people['second']->id);
        $this->actingAs($second)->get('/people')->assertOk()->assertDontSee('Invite a person');
        $this->post('/people', ['name' => 'X', 'username' => 'x', 'role' => 'lead', 'form' => self::formId()])
            ->assertForbidden()
            ->assertSee('Set one up first');
        $this->setsUp('second', 'perrin');
        $this->get('/people')->assertSee('Invite a person');
    }

    public function test_a_pin_gives_a_checkers_rights_until_the_passphrase_is_entered(): void
    {
        $lead = $this->people['lead'];
        DB::table('credentials')
            ->where('person_id', $lead->id)
            ->update(['pin' => password_hash('246810', PASSWORD_BCRYPT, ['cost' => 4])]);
        $this->actingAs($this->people['checker'])
            ->post("/hands/$lead->id", ['pin' => '246810'])
            ->assertRedirect();
        $this->assertAuthenticatedAs($lead);

        $this->get('/people')->assertSee('by PIN')->assertDontSee('Invite a person');
        $this->post('/settings', ['name' => 'X', 'temperatures' => 'C', 'numbers' => 'point', 'form' => self::formId()])
            ->assertForbidden()
            ->assertSee('Confirm your passphrase first');
        $this->get('/access')->assertForbidden();
        $this->post("/pairs/{$this->pair()->id}/care", ['act' => 'glass-whole', 'form' => self::formId()])->assertSessionHasNoErrors();

        $this->post('/yourself/passphrase', ['passphrase' => 'not hers'])->assertSessionHasErrors('passphrase');
        $this->post('/yourself/passphrase', ['passphrase' => self::PASSPHRASE])->assertRedirect('/');
        $this->get('/people')->assertSee('Invite a person');
    }

    public function test_the_server_makes_a_code_for_a_lead_who_forgot_and_it_is_logged(): void
    {
        $this->setsUp('lead');
        $this->post('/sign-out');
        self::assertSame(1, Artisan::call('rheacid:person', ['username' => 'nobody']));
        self::assertSame(0, Artisan::call('rheacid:person', ['username' => 'Sela']));
        preg_match('/[A-Z0-9]{4}-[A-Z0-9]{4}-[A-Z0-9]{4}/', Artisan::output(), $code);
        $this->post('/join', [
            'one_time_code' => $code[0] ?? '',
            'passphrase' => 'four new words here',
            'passphrase_confirmation' => 'four new words here',
            'pin' => '975310',
        ])->assertRedirect('/');

        $this->assertAuthenticatedAs($this->people['lead']);
        self::assertFalse($this->people['lead']->credential()->sole()->hasCode(), 'what was lost with it is gone');
        self::assertSame(
            ['given-a-code', 'on the server'],
            array_values(
                (array) DB::table('access_log')
                    ->where('kind', 'given-a-code')
                    ->sole(['kind', 'address']),
            ),
        );
    }

    public function test_guessing_at_another_address_makes_nobody_wait_on_a_device_of_their_own(): void
    {
        $this->signsIn('oda');
        $device = $this->app['cookie']->queued('rheacid_device_' . config('session.cookie'));
        self::assertNotNull($device);
        $this->post('/sign-out');
        for ($i = 0; $i < 6; $i++) {
            $last = $this->post('/sign-in', ['username' => 'oda', 'passphrase' => 'wrong']);
        }
        $last->assertSessionHasErrors('username');
        $this->assertGuest();
        $this->withCookie($device->getName(), (string) $device->getValue())
            ->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])
            ->assertRedirect('/');

        // Nor does guessing at the code, by whoever knows the passphrase.
        $this->post('/sign-out');
        $this->setsUp('checker', 'oda');
        $this->post('/sign-out');
        $this->wait(61);
        $this->app['cookie']->flushQueuedCookies();
        $this->defaultCookies = [];
        $this->signsIn('oda');
        self::assertNull($this->app['cookie']->queued($device->getName()), 'half-way makes no device known');
        for ($i = 0; $i < 6; $i++) {
            $this->types("00000$i");
        }
        $this->types($this->code())->assertSessionHasErrors('one_time_code');
        $this->withCookie($device->getName(), (string) $device->getValue())
            ->from('/sign-in/code')
            ->post('/sign-in/code', ['one_time_code' => $this->code()])
            ->assertRedirect('/');

        // The same device is not believed for a name that never came in on it.
        $this->post('/sign-out');
        for ($i = 0; $i < 6; $i++) {
            $last = $this->withCookie($device->getName(), (string) $device->getValue())->post('/sign-in', [
                'username' => 'perrin',
                'passphrase' => 'wrong',
            ]);
        }
        $last->assertSessionHasErrors('username');
    }

    /** @return list<string> recovery codes */
    private function setsUp(string $who, string $username = 'sela'): array
    {
        $this->actingAs(Person::query()->findOrFail($this->people[$who]->id))
            ->get('/yourself/code')
            ->assertOk();
        $this->secret = session('offered_secret');
        $this->post('/yourself/code', ['passphrase' => self::PASSPHRASE, 'one_time_code' => $this->code()])->assertSessionHasNoErrors();
        $codes = session('recovery');
        $this->get('/yourself/code')->assertSee('shown only now')->assertSee($codes[0]);
        $this->get('/yourself/code')->assertDontSee($codes[0])->assertSee('The authenticator is on.');

        return $codes;
    }

    private function signsIn(string $username = 'sela'): TestResponse
    {
        return $this->post('/sign-in', ['username' => $username, 'passphrase' => self::PASSPHRASE]);
    }

    private function types(string $code): TestResponse
    {
        return $this->from('/sign-in/code')->post('/sign-in/code', ['one_time_code' => $code]);
    }

    private function code(): string
    {
        return TimeCode::at($this->secret, CarbonImmutable::now()->getTimestamp());
    }
}
