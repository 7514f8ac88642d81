<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Rheacid\Core\Access\Role;
use Rheacid\Guard\Invitations;
use Rheacid\Models\Appointment;
use Rheacid\Models\Person;
use Rheacid\Records\LedgerCheck;

/** Who works here: invited, changed, gone. */
final class PeopleTest extends BenchTestCase
{
    public function test_an_invited_person_joins_by_code_and_nobody_else_knows_the_passphrase(): void
    {
        $code = $this->invites('runa', 'Runa Thistle');
        self::assertStringNotContainsString(str_replace('-', '', $code), (string) json_encode(DB::table('invitations')->get()));
        $this->post('/sign-out');

        $this->enters(['one_time_code' => 'AAAA-AAAA-AAAA'])->assertSessionHasErrors('one_time_code');
        $this->enters(['one_time_code' => $code, 'passphrase' => 'short', 'passphrase_confirmation' => 'short'])->assertSessionHasErrors(
            'passphrase',
        );
        $this->enters(['one_time_code' => $code, 'passphrase_confirmation' => 'something else'])->assertSessionHasErrors('passphrase');
        $this->enters(['one_time_code' => $code, 'pin' => '12345'])->assertSessionHasErrors('pin');
        $this->enters(['one_time_code' => strtolower(str_replace('-', ' ', $code))])->assertRedirect('/');
        $this->assertAuthenticatedAs(Person::query()->where('name', 'Runa Thistle')->sole());
        $this->post('/sign-out');

        $this->enters(['one_time_code' => $code])->assertSessionHasErrors('one_time_code');
        $this->post('/sign-in', ['username' => 'runa', 'passphrase' => 'three words and a comma'])->assertRedirect('/');
        self::assertNull(LedgerCheck::run()['difference']);
        foreach (['three words and a comma', '246810', str_replace('-', '', $code)] as $secret) {
            self::assertStringNotContainsString(
                $secret,
                (string) json_encode([DB::table('ledger')->get(), DB::table('access_log')->get(), DB::table('idempotency_keys')->get()]),
            );
        }
    }

    public function test_a_code_holds_three_days_and_a_new_one_ends_the_one_before(): void
    {
        $old = $this->invites('runa', 'Runa Thistle');
        $person = Person::query()->where('name', 'Runa Thistle')->sole();
        $this->post("/people/$person->id/code", ['form' => self::formId()]);
        $new = session('code')['code'];
        $this->post('/sign-out');
        $this->enters(['one_time_code' => $old])->assertSessionHasErrors('one_time_code');

        $this->wait(3 * 86_400 + 1);
        $this->enters(['one_time_code' => $new])->assertSessionHasErrors('one_time_code');
    }

    public function test_an_invitation_sent_twice_takes_one_person_on(): void
    {
        $form = ['name' => 'Runa Thistle', 'username' => 'runa', 'role' => 'checker', 'form' => self::formId()];
        $this->actingAs($this->people['lead'])->post('/people', $form)->assertSessionHasNoErrors();
        $this->post('/people', $form)->assertSessionHasNoErrors();

        $code = session('code')['code'];

        self::assertSame(1, Person::query()->where('name', 'Runa Thistle')->count());
        $this->post('/sign-out');
        $this->enters(['one_time_code' => $code])->assertRedirect('/');
    }

    public function test_every_person_counts_however_many_joined_or_left_before(): void
    {
        for ($i = 0; $i < 120; $i++) {
            $id = DB::table('people')->insertGetId(['name' => sprintf('Aaron %03d', $i), 'invented' => true]);
            DB::table('credentials')->insert(['person_id' => $id, 'username' => "aaron$i", 'passphrase' => 'x']);
            DB::table('appointments')->insert([
                'person_id' => $id,
                'role' => 'checker',
                'enabled' => false,
                'at' => now()->format('Y-m-d H:i:s.v'),
                'appointed_by_id' => $id,
            ]);
        }

        $this->actingAs($this->people['lead'])
            ->post('/people', ['name' => 'Other', 'username' => 'Pérrin', 'role' => 'checker', 'form' => self::formId()])
            ->assertSessionHasErrors('username');
        $this->appoints('second', ['role' => 'lead', 'enabled' => '1']);
        $this->appoints('second', ['role' => 'lead']);
        $this->get('/people')->assertSee('Aaron 000')->assertDontSee('Oda Venn')->assertSee('rel="next"', false);
    }

    #[TestWith(['oda'])]
    #[TestWith(['Oda'])]
    #[TestWith(['óda'])]
    #[TestWith(['two words'])]
    #[TestWith([''])]
    public function test_a_name_that_exists_in_other_letters_or_is_none_is_refused(string $username): void
    {
        $before = Person::query()->count();
        $this->actingAs($this->people['lead'])
            ->post('/people', ['name' => 'Somebody', 'username' => $username, 'role' => 'checker', 'form' => self::formId()])
            ->assertSessionHasErrors('username');

        self::assertSame($before, Person::query()->count());
    }

    public function test_a_disabled_person_is_signed_out_at_once_and_can_be_enabled_again(): void
    {
        $this->actingAs($this->people['checker'])->get('/')->assertOk();
        $this->appoints('checker', ['role' => 'checker']);
        $this->actingAs($this->again('checker'))->get('/batches')->assertRedirect('/sign-in');
        $this->assertGuest();
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertSessionHasErrors('username');

        $this->appoints('checker', ['role' => 'checker', 'enabled' => '1']);
        $this->flushSession();
        $this->post('/sign-out');
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertRedirect('/');
    }

    public function test_a_code_of_a_disabled_person_changes_nothing(): void
    {
        $checker = $this->people['checker'];
        $code = Invitations::code($checker);
        $was = DB::table('credentials')->where('person_id', $checker->id)->value('passphrase');
        $this->appoints('checker', ['role' => 'checker']);
        $this->flushSession();
        $this->post('/sign-out');
        $this->enters(['one_time_code' => $code])->assertSessionHasErrors('one_time_code');

        self::assertSame($was, DB::table('credentials')->where('person_id', $checker->id)->value('passphrase'));
        $this->assertGuest();
    }

    public function test_nobody_changes_themselves_and_one_lead_is_always_left(): void
    {
        $this->actingAs($this->people['lead']);
        $own = fn(array $more): TestResponse => $this->post("/people/{$this->people['lead']->id}/appointment", [
            ...['role' => 'auditor', 'reason' => 'why not', 'form' => self::formId()],
            ...$more,
        ]);
        $own([])->assertSessionHasErrors('reason');

        $this->appoints('second', ['role' => 'lead', 'enabled' => '1']);
        $this->flushSession();
        $this->actingAs($this->again('second'));
        $own([])->assertSessionHasNoErrors();
        self::assertSame(Role::Auditor, Person::query()->findOrFail($this->people['lead']->id)->role);
        $this->appoints('checker', ['role' => 'lead', 'enabled' => '1'], by: 'second');
        $this->flushSession();
        $this->actingAs($this->again('checker'))
            ->post("/people/{$this->people['second']->id}/appointment", [
                'role' => 'checker',
                'enabled' => '1',
                'reason' => 'back to the bench',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        $this->flushSession();
        $this->actingAs($this->again('second'))
            ->post("/people/{$this->people['checker']->id}/appointment", ['role' => 'checker', 'reason' => 'x', 'form' => self::formId()])
            ->assertForbidden();
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_checker_and_an_auditor_see_who_works_here_and_change_nobody(): void
    {
        foreach (['checker', 'auditor'] as $role) {
            $this->flushSession();
            $this->actingAs($this->people[$role])->get('/people')->assertOk()->assertSee('Oda Venn')->assertDontSee('Invite a person');
            $this->post('/people', ['name' => 'X', 'username' => 'x', 'role' => 'lead', 'form' => self::formId()])->assertForbidden();
            $this->post("/people/{$this->people['second']->id}/code", ['form' => self::formId()])->assertForbidden();
        }
        self::assertSame(4, Appointment::query()->count());
    }

    /** As they are appointed now. */
    public function test_a_list_in_place_of_a_code_is_refused_at_its_field(): void
    {
        $this->from('/join')
            ->post('/join', ['one_time_code' => ['1e999', ['a' => 'x']]])
            ->assertRedirect('/join')
            ->assertSessionHasErrors('one_time_code');
    }

    private function again(string $who): Person
    {
        return Person::query()->findOrFail($this->people[$who]->id);
    }

    private function invites(string $username, string $name): string
    {
        $this->actingAs($this->people['lead'])
            ->post('/people', ['name' => $name, 'username' => $username, 'role' => 'checker', 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        $told = session('code');
        self::assertIsArray($told);
        $this->get('/people')->assertSee($told['code']);
        $this->get('/people')->assertDontSee($told['code']);

        return $told['code'];
    }

    /** @param array<string, string> $typed */
    private function enters(array $typed): TestResponse
    {
        return $this->from('/join')->post('/join', [
            'passphrase' => 'three words and a comma',
            'passphrase_confirmation' => 'three words and a comma',
            'pin' => '246810',
            ...$typed,
        ]);
    }

    /** @param array<string, string> $typed */
    private function appoints(string $who, array $typed, string $by = 'lead'): void
    {
        $this->flushSession();
        $this->actingAs($this->again($by))
            ->post("/people/{$this->people[$who]->id}/appointment", ['reason' => 'told by a test', 'form' => self::formId(), ...$typed])
            ->assertSessionHasNoErrors();
    }
}
