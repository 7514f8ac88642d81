<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Session\ArraySessionHandler;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Rheacid\Core\Access\TimeCode;
use Rheacid\Guard\SecondFactor;
use Rheacid\Models\Credential;
use Rheacid\Models\Person;

/** Where people are signed in, what ends that, and what they change of their own. */
final class SessionsTest extends BenchTestCase
{
    public function test_people_see_where_they_are_signed_in_and_end_it_there(): void
    {
        $elsewhere = $this->signInElsewhere('oda');
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertRedirect('/');
        $this->get('/yourself/secrets')->assertOk()->assertSee('this device')->assertSee('Sign out')->assertSee('127.0.0.1');

        $here = session('sign_in');
        $later = $this->signInElsewhere('oda');
        $this->actingAs(Person::query()->findOrFail($this->people['checker']->id))
            ->withSession(['sign_in' => $here])
            ->get('/yourself/secrets')
            ->assertOk()
            ->assertSee("/yourself/sessions/$later/end")
            ->assertSee("/yourself/sessions/$elsewhere/end")
            ->assertDontSee("/yourself/sessions/$here/end");

        $foreign = $this->signInElsewhere('perrin', false);
        $this->post("/yourself/sessions/$foreign/end")->assertNotFound();
        $this->post("/yourself/sessions/$elsewhere/end")->assertRedirect();
        self::assertNotNull(DB::table('sign_ins')->where('id', $elsewhere)->value('ended_at'));
        $this->get('/')->assertOk();
        $this->withSession(['sign_in' => $elsewhere])
            ->get('/')
            ->assertRedirect('/sign-in');
        self::assertGuest();
    }

    public function test_a_new_passphrase_or_pin_asks_for_the_old_one_and_ends_every_other_session(): void
    {
        $elsewhere = $this->signInElsewhere('oda');
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE]);
        $new = 'kettle and nine herons';
        $change = fn(array $fields) => $this->from('/yourself/secrets')->post('/yourself/secrets/passphrase', [
            ...['current_passphrase' => self::PASSPHRASE, 'passphrase' => $new, 'passphrase_confirmation' => $new],
            ...$fields,
        ]);
        $change(['current_passphrase' => 'not hers'])->assertSessionHasErrors(['current_passphrase' => 'That is not your passphrase.']);
        self::assertSame('wrong-passphrase', DB::table('access_log')->orderByDesc('id')->value('kind'));
        $change(['passphrase' => 'password12345', 'passphrase_confirmation' => 'password12345'])->assertSessionHasErrors('passphrase');
        $change(['passphrase' => 'oda venn, oda', 'passphrase_confirmation' => 'oda venn, oda'])->assertSessionHasErrors('passphrase');
        $change(['passphrase_confirmation' => 'another'])->assertSessionHasErrors('passphrase');
        $change([])->assertSessionHasNoErrors();

        self::assertNotNull(DB::table('sign_ins')->where('id', $elsewhere)->value('ended_at'));
        $this->get('/')->assertOk();
        $this->post('/yourself/secrets/pin', ['current_passphrase' => $new, 'pin' => '123456'])->assertSessionHasErrors('pin');
        $this->post('/yourself/secrets/pin', ['current_passphrase' => $new, 'pin' => '850274'])->assertSessionHasNoErrors();
        self::assertSame(
            ['changed-pin', 'changed-passphrase'],
            DB::table('access_log')
                ->whereIn('kind', ['changed-pin', 'changed-passphrase'])
                ->orderByDesc('id')
                ->pluck('kind')
                ->all(),
        );
        $this->post('/sign-out');
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertSessionHasErrors('username');
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => $new])->assertRedirect('/');
    }

    public function test_another_role_and_leaving_end_every_session_and_coming_back_opens_none(): void
    {
        $person = $this->people['checker'];
        $session = $this->signInElsewhere('oda');
        foreach ([['role' => 'checker'], ['role' => 'checker', 'enabled' => '1']] as $appointment) {
            $this->flushSession();
            $this->actingAs($this->people['lead'])
                ->post("/people/$person->id/appointment", [...$appointment, 'reason' => 'told by a test', 'form' => self::formId()])
                ->assertSessionHasNoErrors();
        }

        $this->flushSession();
        $this->actingAs(Person::query()->findOrFail($person->id))
            ->withSession(['sign_in' => $session])
            ->get('/')
            ->assertRedirect('/sign-in');
    }

    public function test_a_lead_ends_the_sessions_of_another_and_a_checker_does_not(): void
    {
        $session = $this->signInElsewhere('perrin');
        $url = "/people/{$this->people['second']->id}/sign-out";
        $this->actingAs($this->people['checker'])
            ->post($url, ['form' => self::formId()])
            ->assertForbidden();
        $this->flushSession();
        $this->actingAs($this->people['lead'])
            ->post($url, ['form' => self::formId()])
            ->assertRedirect('/people');

        self::assertNotNull(DB::table('sign_ins')->where('id', $session)->value('ended_at'));
    }

    public function test_a_common_passphrase_must_be_changed_at_its_next_use(): void
    {
        Credential::query()
            ->whereKey($this->people['checker']->id)
            ->update(['passphrase' => Hash::make('password12345'), 'pin' => Hash::make('123456')]);
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => 'password12345'])->assertRedirect();
        $this->get('/batches')->assertRedirect('/yourself/secrets');
        $this->post("/batches/{$this->batch()->id}/notes", ['note' => 'x', 'form' => self::formId()])->assertRedirect('/yourself/secrets');
        $this->get('/yourself/secrets')->assertSee('Change your passphrase.')->assertDontSee('Change the PIN');
        $this->post('/yourself/secrets/passphrase', [
            'current_passphrase' => 'password12345',
            'passphrase' => 'kettle and nine herons',
            'passphrase_confirmation' => 'kettle and nine herons',
        ])->assertSessionHasNoErrors();
        $this->get('/batches')->assertOk();

        $this->flushSession();
        $this->actingAs($this->people['second'])
            ->post("/hands/{$this->people['checker']->id}", ['pin' => '123456'])
            ->assertRedirect();
        $this->get('/batches')->assertRedirect('/yourself/secrets');
        $this->post('/yourself/secrets/pin', [
            'current_passphrase' => 'kettle and nine herons',
            'pin' => '850274',
        ])->assertSessionHasNoErrors();
        $this->get('/batches')->assertOk();
    }

    public function test_a_code_for_a_lead_needs_a_second_lead_and_none_is_made_for_who_left(): void
    {
        $second = $this->people['second'];
        $code = fn(Person $for, array $fields = []) => $this->from('/people')->post("/people/$for->id/code", [
            'form' => self::formId(),
            ...$fields,
        ]);
        $appoint = fn(Person $who, array $fields) => $this->post("/people/$who->id/appointment", [
            'reason' => 'told by a test',
            'form' => self::formId(),
            ...$fields,
        ])->assertSessionHasNoErrors();
        $this->actingAs($this->people['lead']);
        $appoint($second, ['role' => 'lead', 'enabled' => '1']);
        $code($second)->assertSessionHasErrors('second');
        $code($second, ['second' => 'sela', 'second_passphrase' => self::PASSPHRASE])->assertSessionHasErrors('second');
        $code($second, ['second' => 'perrin', 'second_passphrase' => self::PASSPHRASE])->assertSessionHasErrors('second');
        // Nor by making the lead a checker first.
        $appoint($second, ['role' => 'checker', 'enabled' => '1']);
        $code($second)->assertSessionHasErrors('second');
        $appoint($this->people['checker'], ['role' => 'lead', 'enabled' => '1']);
        $code($second, ['second' => 'oda', 'second_passphrase' => 'wrong'])->assertSessionHasErrors('second_passphrase');
        $code($second, ['second' => 'oda', 'second_passphrase' => self::PASSPHRASE])->assertSessionHasNoErrors();
        $made = session('code')['code'];

        $appoint($second, ['role' => 'checker']);
        $code($second, ['second' => 'oda', 'second_passphrase' => self::PASSPHRASE])->assertSessionHasErrors('form');
        $appoint($second, ['role' => 'checker', 'enabled' => '1']);
        $this->post('/sign-out');
        $this->post('/join', [
            'one_time_code' => $made,
            'passphrase' => 'kettle and nine herons',
            'passphrase_confirmation' => 'kettle and nine herons',
            'pin' => '850274',
        ])->assertSessionHasErrors('one_time_code');
        self::assertGuest();
    }

    public function test_a_leads_address_is_changed_with_the_passphrase_alone(): void
    {
        $this->actingAs($this->people['lead'])
            ->post('/yourself', ['email' => 'elsewhere@works.example'])
            ->assertSessionHasErrors('passphrase');
        $this->post('/yourself', ['email' => 'sela@works.example', 'passphrase' => self::PASSPHRASE])->assertSessionHasNoErrors();
        self::assertSame('sela@works.example', Credential::query()->whereKey($this->people['lead']->id)->value('email'));
        self::assertSame('changed-address', DB::table('access_log')->orderByDesc('id')->value('kind'));
    }

    public function test_guesses_elsewhere_end_at_a_hundred_an_hour_and_make_nobody_wait_at_a_known_device(): void
    {
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE]);
        $device = array_values(
            array_filter(
                $this->app['cookie']->getQueuedCookies(),
                static fn($cookie): bool => str_starts_with($cookie->getName(), 'rheacid_device'),
            ),
        )[0];
        $this->post('/sign-out');
        for ($i = 0; $i < 104; $i++) {
            $this->flushSession();
            $this->withServerVariables(['REMOTE_ADDR' => sprintf('10.0.%d.7', $i)])
                ->post('/sign-in', ['username' => 'oda', 'passphrase' => 'wrong'])
                ->assertSessionHasErrors('username');
        }
        self::assertSame(99, DB::table('access_log')->where('kind', 'wrong-passphrase')->count(), 'the one that was right counts as well');
        self::assertSame(
            104,
            DB::table('access_log')
                ->whereIn('kind', ['wrong-passphrase', 'made-to-wait'])
                ->count(),
            'each stands in the log',
        );

        $this->withCookie($device->getName(), $device->getValue())
            ->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])
            ->assertRedirect('/');
        $this->assertAuthenticated();
    }

    public function test_a_code_that_could_not_be_read_after_a_restoration_is_set_up_again(): void
    {
        $person = $this->people['lead'];
        $codes = SecondFactor::turnOn($person, $secret = random_bytes(TimeCode::SECRET_BYTES), 0);
        self::assertSame([], SecondFactor::removeUnreadable(), 'it can be read here');
        Credential::query()
            ->whereKey($person->id)
            ->update(['code_secret' => substr(Crypt::encryptString('x'), 0, -4) . 'AAAA']);
        self::assertSame([$person->name], SecondFactor::removeUnreadable());

        $this->post('/sign-in', ['username' => 'sela', 'passphrase' => self::PASSPHRASE])->assertRedirect('/sign-in/code');
        $this->post('/sign-in/code', ['one_time_code' => '123456'])->assertSessionHasErrors('one_time_code');
        $this->post('/sign-in/code', ['recovery' => $codes[0]])->assertRedirect('/');
        $this->post("/people/{$this->people['second']->id}/appointment", [
            'role' => 'lead',
            'enabled' => '1',
            'reason' => 'x',
            'form' => self::formId(),
        ])->assertForbidden();
        $this->get('/yourself/code');
        $offered = session('offered_secret');
        self::assertIsString($offered);
        $this->post('/yourself/code', [
            'passphrase' => self::PASSPHRASE,
            'one_time_code' => TimeCode::at($offered, (int) now()->timestamp),
        ])->assertSessionHasNoErrors();
        $this->post("/people/{$this->people['second']->id}/appointment", [
            'role' => 'lead',
            'enabled' => '1',
            'reason' => 'x',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
    }

    /** @return int number of that session */
    private function signInElsewhere(string $username, bool $leaves = true): int
    {
        $before = auth()->user();
        $this->flushSession();
        auth()->logout();
        $this->post('/sign-in', ['username' => $username, 'passphrase' => self::PASSPHRASE])->assertRedirect();
        $id = session('sign_in');
        self::assertIsInt($id);
        $this->flushSession();
        auth()->forgetUser();
        if (!$leaves && $before !== null) {
            $this->actingAs($before);
        }

        return $id;
    }

    public function test_a_session_is_written_when_it_has_changed_else_once_a_minute(): void
    {
        $written = 0;
        $handler = new class ($written) extends ArraySessionHandler {
            public function __construct(private int &$written)
            {
                parent::__construct(60);
            }

            public function write($sessionId, $data): bool
            {
                $this->written++;

                return parent::write($sessionId, $data);
            }
        };
        Session::extend('counted', static fn(): ArraySessionHandler => $handler);
        config(['session.driver' => 'counted']);
        $after = function (int $seconds, callable $act) use (&$written): int {
            $this->wait($seconds);
            // Each request reads it anew.
            Session::forgetDrivers();
            $this->withCookie((string) config('session.cookie'), str_repeat('a', 40));
            $before = $written;
            $act();

            return $written - $before;
        };
        $looks = fn() => $this->actingAs($this->people['checker'])
            ->get('/policies')
            ->assertOk();

        self::assertSame([1, 0, 1, 0], [$after(0, $looks), $after(30, $looks), $after(31, $looks), $after(1, $looks)]);
        Route::middleware('web')->get('/says', static function (): string {
            Session::flash('said', 'once');

            return 'ok';
        });
        $says = fn() => $this->get('/says')->assertOk();
        self::assertSame([1, 1, 0], [$after(1, $says), $after(1, $looks), $after(1, $looks)], 'a message is kept until it was shown');
    }
}
