<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Rheacid\Actions\Calibrate\ReadControlCheck;
use Rheacid\Actions\Practice\MoveElectrode;
use Rheacid\Core\Care\PairState;
use Rheacid\Models\CalibrationVoid;
use Rheacid\Models\Pair;
use Rheacid\Models\SessionMoment;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** Ways round a rule that were once open. */
final class HolesTest extends BenchTestCase
{
    public function test_a_checker_does_not_change_the_policy_of_an_instrument_by_pairing_it_again(): void
    {
        $form = ['electrode' => 'E-07', 'meter' => 'M-B', 'channel' => 'third socket', 'exchange' => '1'];

        $this->actingAs($this->people['checker'])
            ->post('/ready/pairs', [...$form, 'policy' => 'laboratory', 'form' => self::formId()])
            ->assertSessionHasErrors('policy');
        $this->post('/ready/pairs', [...$form, 'form' => self::formId()])->assertSessionHasNoErrors();
        self::assertSame('process', Pair::query()->together()->whereRelation('electrode', 'code', 'E-07')->sole()->policy->code);
        $this->wait(60);
        $this->actingAs($this->people['lead'])
            ->post('/ready/pairs', [...$form, 'channel' => 'fourth socket', 'policy' => 'laboratory', 'form' => self::formId()])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        self::assertSame('laboratory', Pair::query()->together()->whereRelation('electrode', 'code', 'E-07')->sole()->policy->code);
    }

    public function test_no_page_moves_an_electrode_that_somebody_else_is_using(): void
    {
        $this->openRun();
        $cup = 1;
        $this->actingAs($this->people['second']);
        foreach (["/pairs/{$this->pair()->id}/check/immersions", "/cells/{$this->pair()->id}/immersions"] as $url) {
            $this->post($url, ['cup' => $cup, 'speed' => 1, 'form' => self::formId()])->assertSessionHasErrors('cup');
        }
        $this->post("/bench/{$this->pair()->id}", ['fault' => 'healthy', 'seed' => 1, 'form' => self::formId()])->assertSessionHasErrors();
    }

    public function test_a_run_a_measurement_and_a_check_never_share_an_electrode(): void
    {
        $this->calibrate();
        $this->openRun();
        foreach ([fn() => $this->begin(), fn() => $this->vouch(), fn() => $this->openRun()] as $other) {
            try {
                $other();
                self::fail('Two at once.');
            } catch (Refused $refused) {
                self::assertStringContainsString('is calibrating with E-07 since', $refused->getMessage());
            }
        }
        $this->expectException(Refused::class);
        app(MoveElectrode::class)($this->people['second'], $this->pair()->electrode, 1, 1);
    }

    public function test_a_check_that_was_not_stable_proves_nothing_and_voids_nothing(): void
    {
        $this->calibrate();

        $check = app(ReadControlCheck::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $this->lot('R-07'),
            SessionMoment::Start,
            $this->typed($this->shown(4.3), still: false),
            'in a hurry',
        );

        self::assertNull($check->passed);
        self::assertSame(0, CalibrationVoid::query()->count());
        self::assertSame(PairState::Ready, Readiness::of($this->pair())->state);
        self::assertContains('control-check-missing', $this->decided($this->measure([4.45, 4.46]))->blocks);
    }

    public function test_names_that_differ_by_an_accent_wait_together(): void
    {
        foreach (['oda', 'Odá', 'ödä', "oda\u{0301}", 'ODÀ'] as $name) {
            $this->post('/sign-in', ['username' => $name, 'passphrase' => 'wrong']);
        }

        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertSessionHasErrors([
            'username' => 'Too many attempts: wait 30 s, then try again.',
        ]);
    }

    public function test_each_wrong_pin_after_the_fifth_doubles_the_wait_and_the_passphrase_always_works(): void
    {
        $url = "/hands/{$this->people['second']->id}";
        $this->actingAs($this->people['checker']);
        for ($i = 0; $i < 5; $i++) {
            $this->post($url, ['pin' => '0000'])->assertSessionHasErrors(['pin' => 'PIN is not correct.']);
        }
        foreach ([30, 60] as $seconds) {
            $this->post($url, ['pin' => '4711'])->assertSessionHasErrors([
                'pin' => "Too many wrong attempts: wait $seconds s, or sign in again with the passphrase.",
            ]);
            $this->wait($seconds + 1);
            $this->post($url, ['pin' => '0000'])->assertSessionHasErrors(['pin' => 'PIN is not correct.']);
        }
        $this->post('/sign-out');
        $this->post('/sign-in', ['username' => 'perrin', 'passphrase' => self::PASSPHRASE])->assertRedirect();
        $this->assertAuthenticatedAs($this->people['second']);
    }

    #[TestWith(['/batches'])]
    #[TestWith(['/people'])]
    #[TestWith(['/access'])]
    #[TestWith(['/batches/1'])]
    public function test_a_place_in_a_list_that_no_page_has_given_is_refused(string $page): void
    {
        $page = $page === '/batches/1' ? "/batches/{$this->batch()->id}" : $page;
        $this->calibrate();
        $this->measure([4.45, 4.46]);
        $this->actingAs($this->people['lead']);
        $forge = static fn(mixed $of): string => str_replace(['+', '/', '='], ['-', '_', ''], base64_encode((string) json_encode($of)));
        foreach (
            [
                ['id' => 1],
                ['_pointsToNextItems' => true],
                ['id' => ['a'], '_pointsToNextItems' => true],
                ['name' => 'x', 'id' => null, '_pointsToNextItems' => false],
                'text',
                [[[]]],
                null,
            ] as $forged
        ) {
            self::assertContains($this->get("$page?cursor=" . $forge($forged))->status(), [200, 422], (string) json_encode($forged));
        }
        foreach (['%FF', 'a[]=1', '', '%00'] as $broken) {
            self::assertContains($this->get("$page?cursor=$broken")->status(), [200, 422], $broken);
        }
    }

    public function test_a_refusal_on_the_way_in_says_what_a_browser_may_do_too(): void
    {
        $this->get('http://elsewhere.example/sign-in')
            ->assertStatus(400)
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertHeader('Content-Security-Policy');
    }

    public function test_files_that_are_too_large_or_hold_nothing_but_separators_are_refused_at_their_form(): void
    {
        $this->actingAs($this->people['checker']);
        foreach ([str_repeat(',', 4_900_000), str_repeat("\n", 4_900_000), str_repeat('1;2;3', 1000)] as $content) {
            $this->post("/pairs/{$this->pair()->id}/log", [
                'log' => UploadedFile::fake()->createWithContent('a.csv', $content),
                'form' => self::formId(),
            ])->assertSessionHasErrors();
        }
        // What the server has cut off at its own limit.
        $cut = new UploadedFile('', 'a.csv', 'text/csv', UPLOAD_ERR_INI_SIZE, true);
        $this->post("/pairs/{$this->pair()->id}/log", ['log' => $cut, 'form' => self::formId()])->assertSessionHasErrors('log');
    }

    /** @return iterable<string, array{string}> */
    public static function oddAddresses(): iterable
    {
        yield 'letters for a number' => ['/verify/reference?kg_h=abc'];
        yield 'a number beyond all' => ['/verify/reference?hours=1e99&error=-1e99'];
        yield 'a list for a number' => ['/verify/reference?price[]=1'];
        yield 'a batch state nobody knows' => ['/batches?state=ripe&code[]=x&cursor=abc'];
    }

    #[DataProvider('oddAddresses')]
    public function test_an_odd_address_is_answered_on_its_own_page(string $url): void
    {
        $this->actingAs($this->people['auditor'])->get($url)->assertOk();
    }

    public function test_a_character_without_width_breaks_nothing(): void
    {
        $this->actingAs($this->people['checker'])
            ->post("/calibrate/{$this->pair()->id}/runs", [
                'lots' => ['Q-29', 'Q-31'],
                'order' => "neutral\u{200B}first",
                'source' => 'typed',
                'answer' => 'asked',
                'form' => self::formId(),
            ])
            ->assertSessionHasErrors('order');
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            'lots' => ['Q-29', 'Q-31'],
            'order' => "\u{200B}",
            'source' => 'typed',
            'answer' => 'asked',
            'form' => self::formId(),
        ])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
    }

    public function test_nobody_is_led_to_another_site(): void
    {
        $this->actingAs($this->people['checker'])
            ->post(
                "/calibrate/{$this->pair()->id}/runs",
                ['lots' => [], 'form' => self::formId()],
                ['Referer' => 'http://elsewhere.example/trap'],
            )
            ->assertRedirect(url('/'));
    }

    public function test_what_is_secret_never_enters_the_hash_of_a_sent_form(): void
    {
        $hash = static fn(array $secret): string => IdempotencyKey::from(
            Request::create('/x', 'POST', ['form' => '0b0b5a1c-3c1e-4b52-9b39-111111111111', 'note' => 'a', ...$secret]),
        )->bodyHash;

        self::assertSame($hash(['pin' => '1234', 'passphrase' => 'one']), $hash(['pin' => '9999', 'passphrase' => 'two']));
        self::assertNotSame($hash(['other' => '1']), $hash(['other' => '2']));
    }
}
