<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Measure\OpenRound;
use Rheacid\Core\Settling\Stability;
use Rheacid\Core\Uncertainty\SiteRepeatability;
use Rheacid\Models\BlindPair;
use Rheacid\Models\Measurement;
use Rheacid\Models\Replicate;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Models\RoundVisit;
use Rheacid\Models\Sample;
use Rheacid\Queries\Rounds\RoundCandidate;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Refused;
use Rheacid\View\Measure\RoundScreen;

/** From vat to vat with one pair. */
final class RoundTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
        $this->calibrate();
        $this->vouch();
        $this->wait(120);
    }

    public function test_a_round_goes_through_the_vats_in_order_and_ends_with_the_worst_result_first(): void
    {
        $this->get('/rounds/new')
            ->assertOk()
            ->assertSeeInOrder(['Due now', 'vat 1 · CS-0409', 'vat 2 · CS-0417', 'vat 4 · CS-0421']);
        $round = $this->setsOut(['CS-0421', 'CS-0409', 'CS-0417']);
        self::assertSame(
            ['vat 1', 'vat 2', 'vat 4'],
            $round->stops()->with('batch')->get()->map(static fn(RoundStop $stop): string => (string) $stop->batch->vessel)->all(),
        );

        foreach ([4.2, 5.9, 4.3] as $ph) {
            $this->get("/rounds/$round->id")
                ->assertOk()
                ->assertSee('Rinse and blot')
                ->assertDontSee('Check buffer due');
            $this->reads($round, [$ph, $ph])->assertSessionHasNoErrors();
            $this->wait(90);
        }

        $this->get("/rounds/$round->id")
            ->assertOk()
            ->assertSee('Round · results')
            ->assertSeeInOrder(['vat 2', 'CS-0417', '5.90']);
        self::assertSame([3, 3], [RoundVisit::query()->count(), Measurement::query()->count()]);
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_left_in_the_middle_it_is_found_again_and_gone_on_with_by_another(): void
    {
        $round = $this->setsOut(['CS-0409', 'CS-0417']);
        $this->reads($round, [4.2, 4.2]);
        $this->get('/measure')->assertSee('A measuring round is open.')->assertSee('1 of 2 batches left');

        $this->flushSession();
        $this->actingAs($this->people['second']);
        $this->reads($round, [5.0, 5.0])->assertSessionHasNoErrors();
        $this->get('/measure')->assertDontSee('A measuring round is open.');
    }

    public function test_portions_that_differ_ask_for_a_third_and_what_was_typed_stays(): void
    {
        $round = $this->setsOut(['CS-0417']);
        $this->reads($round, [4.6, 4.7])->assertSessionHasErrors('readings');
        $this->get("/rounds/$round->id")
            ->assertSee('these differ by 0.10 pH')
            ->assertSee('Portion 3')
            ->assertSee((string) $this->shown(4.7));
        self::assertSame(0, Sample::query()->count(), 'nothing half recorded');

        $this->reads($round, [4.6, 4.7, 4.65])->assertSessionHasNoErrors();
        self::assertSame(3, Replicate::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is typed, the field that is told */
    public static function slips(): iterable
    {
        yield 'nothing' => [['portions' => ['', '']], 'portions.0'];
        yield 'a word' => [['portions' => ['sour', '120']], 'portions.0'];
        yield 'a potential of no electrode' => [['portions' => ['4000', '120']], 'portions.0'];
        yield 'no temperature' => [['celsius' => ''], 'celsius'];
        yield 'a boiling one' => [['celsius' => '400'], 'celsius'];
        yield 'one portion of two' => [['portions' => ['160', '']], 'readings'];
    }

    /** @param array<string, mixed> $typed */
    #[DataProvider('slips')]
    public function test_a_wrong_entry_is_reported_at_its_field_and_nothing_is_recorded(array $typed, string $field): void
    {
        $round = $this->setsOut(['CS-0417']);
        $stop = $round->stops()->firstOrFail();

        $this->from("/rounds/$round->id")
            ->post("/rounds/$round->id/stops/$stop->id", [
                ...['portions' => ['160', '160'], 'celsius' => '21'],
                ...$typed,
                'form' => self::formId(),
            ])
            ->assertSessionHasErrors($field);

        self::assertSame([0, 0], [Measurement::query()->count(), Sample::query()->count()]);
    }

    public function test_a_round_needs_at_least_one_vat(): void
    {
        foreach ([[], [999_999]] as $chosen) {
            $this->post('/rounds', [
                'pair' => $this->pair()->id,
                'thermometer' => $this->thermometer()->id,
                'batches' => $chosen,
                'form' => self::formId(),
            ])->assertSessionHasErrors('batches');
        }
        $this->post('/rounds', [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'batches' => [$this->batch()->id],
            'way' => 'backwards',
            'form' => self::formId(),
        ])->assertSessionHasErrors('way');
        self::assertSame(0, Round::query()->count());
    }

    public function test_a_round_has_no_more_samples_than_its_last_page_shows(): void
    {
        $one = RoundPlan::candidates(CarbonImmutable::now())[0];
        $sets = fn(int $vats): Round => (new OpenRound())(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $this->thermometer(),
            array_fill(0, $vats, new RoundCandidate($one->batch, $one->stage, ['blend', 'top', 'bottom'], true, null)),
            true,
            false,
        );
        $round = $sets(36);
        self::assertCount($round->stops()->count(), RoundScreen::of($round, CarbonImmutable::now())->stops);

        $this->expectExceptionObject(
            Refused::because('These batches need 132 samples; a round has at most 120. Choose fewer batches.', 'batches'),
        );
        $sets(40);
    }

    public function test_a_stop_is_done_once_and_belongs_to_its_round(): void
    {
        $round = $this->setsOut(['CS-0409', 'CS-0417']);
        $stop = $round->stops()->firstOrFail();
        $this->reads($round, [4.2, 4.2]);

        $this->read($round, $stop, [4.2, 4.2])->assertSessionHasErrors(['readings' => 'This stop is already done.']);
        $other = $this->setsOut(['CS-0421']);
        $this->read($other, $stop, [4.2, 4.2])->assertNotFound();
    }

    public function test_an_unstable_reading_needs_a_reason_and_proves_nothing(): void
    {
        $round = $this->setsOut(['CS-0409', 'CS-0417'], still: false);
        $this->reads($round, [4.2, 4.2], watchedS: null)->assertSessionHasErrors('reason');
        $this->reads($round, [4.2, 4.2], ['reason' => 'the cup was needed'], watchedS: null)->assertSessionHasNoErrors();
        self::assertFalse(Replicate::query()->firstOrFail()->settled);

        $this->reads($round, [4.2, 4.2], ['still' => '1'], watchedS: '59')->assertSessionHasNoErrors();
        $said = Replicate::query()->orderByDesc('id')->firstOrFail();
        self::assertSame([true, Stability::Said], [$said->settled, $said->stability]);
    }

    public function test_a_skipped_stop_says_why(): void
    {
        $round = $this->setsOut(['CS-0409', 'CS-0417', 'CS-0421']);
        $first = $round->stops()->firstOrFail();
        $this->post("/rounds/$round->id/pass", ['stop' => $first->id, 'form' => self::formId()])->assertSessionHasErrors('reason');
        $this->post("/rounds/$round->id/pass", [
            'stop' => $first->id,
            'reason' => 'the tap is frozen',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->reads($round, [5.0, 5.0]);
        $this->post("/rounds/$round->id/pass", ['reason' => 'called away', 'form' => self::formId()])->assertSessionHasNoErrors();

        $this->get("/rounds/$round->id")
            ->assertSee('Round · results')
            ->assertSee('the tap is frozen')
            ->assertSee('called away');
    }

    public function test_after_two_hours_the_check_buffer_is_asked_for_first_and_leads_back(): void
    {
        $round = $this->setsOut(['CS-0409', 'CS-0417']);
        $this->wait(2 * 3600);
        $this->flushSession();
        $this->actingAs($this->people['checker'])
            ->get("/rounds/$round->id")
            ->assertSee('Check buffer due.')
            ->assertSee("/pairs/{$this->pair()->id}/check?round=$round->id", false);

        $buffer = $this->shown($this->lot('R-07')->buffer()->phAt(21));
        $this->post("/pairs/{$this->pair()->id}/check", [
            'lot' => 'R-07',
            'moment' => 'within',
            'round' => $round->id,
            'mv' => (string) $buffer,
            'celsius' => '21',
            'watched_s' => '60',
            'form' => self::formId(),
        ])->assertRedirect("/rounds/$round->id");
        $this->get("/rounds/$round->id")->assertDontSee('Check buffer due.');
    }

    public function test_read_live_a_stop_is_done_as_well(): void
    {
        $round = $this->setsOut(['CS-0417']);
        $stop = $round->stops()->firstOrFail();
        $this->get("/measure/{$this->batch()->id}?stop=$stop->id")
            ->assertOk()
            ->assertSee("name=\"stop\" value=\"$stop->id\"", false);
        $this->post("/measure/{$this->batch()->id}/drafts", [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => 'underway',
            'place' => 'blend',
            'source' => 'typed',
            'stop' => $stop->id,
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $draft = (int) DB::table('measurement_drafts')->max('id');
        foreach ([1, 2] as $portion) {
            $this->post("/drafts/$draft/replicates", [
                'mv' => (string) $this->shown(5.0),
                'celsius' => '21',
                'watched_s' => '60',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }
        $this->post("/drafts/$draft/reading", ['form' => self::formId()])->assertRedirect("/rounds/$round->id");

        self::assertNotNull(RoundVisit::query()->sole()->measurement_id);
    }

    public function test_at_the_vats_a_second_cup_is_a_repeat_which_proves_no_repeatability(): void
    {
        $this->readOften(9);
        $round = $this->setsOut(['CS-0417']);
        [$first, $second] = $round->stops()->get()->all();
        self::assertSame([$first->id, $first->second_code], [$second->duplicate_of, $second->second_code]);
        $this->get("/rounds/$round->id")
            ->assertSee('Two cups.')
            ->assertSee((string) $first->second_code);
        $this->reads($round, [5.0, 5.01])->assertSessionHasNoErrors();
        $this->get("/rounds/$round->id")
            ->assertSee("repeat, the second cup marked $first->second_code")
            ->assertSee('CS-0417 ·')
            ->assertDontSee('blind');
        $this->reads($round, [5.03, 5.02]);

        $pair = BlindPair::query()->sole();
        self::assertEqualsWithDelta(0.03, $pair->difference_ph, 0.002);
        self::assertSame([false, 0], [$pair->is_blind, $pair->pairs]);
        self::assertSame($pair->first->occasion_id, $pair->second->occasion_id, 'drawn together, judged together');
        $this->get('/repeatability')->assertOk()->assertSee('0 of 20 blind pairs.')->assertSee('repeat');
        $this->get("/readings/$pair->second_id")->assertSee("blend, cup $first->second_code, repeat");
        $this->get('/batches/' . $this->batch()->id)->assertSee("cup $first->second_code, repeat");
        $this->get("/rounds/$round->id")
            ->assertSee("blend, cup $first->second_code, repeat")
            ->assertDontSee('Second cup disagrees');
    }

    public function test_twenty_blind_pairs_are_the_sites_own_repeatability(): void
    {
        $before = $this->decided($this->measure([5.0, 5.0]))->expanded_u;
        $second = $this->measure([5.0, 5.0]);
        BlindPair::query()->insert([
            'first_id' => Measurement::query()->min('id'),
            'second_id' => $second->id,
            'difference_ph' => 0.05,
            'is_blind' => true,
            'pairs' => SiteRepeatability::PAIRS,
            'sum_of_squares' => SiteRepeatability::PAIRS * 2 * 0.05 ** 2,
            'at' => CarbonImmutable::now(),
            'person_id' => $this->people['checker']->id,
        ]);
        $this->wait(60);

        self::assertGreaterThan(
            (float) $before,
            (float) $this->decided($this->measure([5.0, 5.0]))->expanded_u,
            'a site that repeats worse than the pooled value says so',
        );
        $this->get('/repeatability')->assertSee('0.050 pH')->assertSee('20 blind pairs');
    }

    public function test_drawn_first_all_cups_carry_codes_and_are_read_in_an_order_that_hides_the_pair(): void
    {
        $this->readOften(8);
        $round = $this->setsOut(['CS-0409', 'CS-0417', 'CS-0421'], ['way' => 'coded']);
        $stops = $round->stops()->with('batch')->get();
        self::assertCount(4, $stops->pluck('cup_code')->filter()->unique());
        $second = $stops->sole(static fn(RoundStop $one): bool => $one->duplicate_of !== null);
        $first = $stops->sole('id', $second->duplicate_of);

        $page = $this->get("/rounds/$round->id")
            ->assertOk()
            ->assertSee('Draw 4 cups.')
            ->assertSeeInOrder(['vat 1 · CS-0409', 'vat 2 · CS-0417', 'vat 4 · CS-0421']);
        $page->assertSeeInOrder([$second->batch->code, $first->cup_code, 'and', $second->cup_code]);
        $this->reads($round, [4.2, 4.2])->assertSessionHasErrors(['readings' => 'Draw all cups first, and confirm that they are drawn.']);
        foreach (['2026-11-25T10:30', '2025-11-25T10:30', 'noon'] as $at) {
            $this->post("/rounds/$round->id/drawing", ['drawn_at' => $at, 'form' => self::formId()])->assertSessionHasErrors('drawn_at');
        }
        $this->post("/rounds/$round->id/drawing", ['drawn_at' => '2026-11-25T09:58', 'form' => self::formId()])->assertSessionHasNoErrors();
        $this->post("/rounds/$round->id/drawing", ['drawn_at' => '2026-11-25T09:58', 'form' => self::formId()])->assertSessionHasErrors([
            'drawn_at' => 'The cups of this round are already drawn.',
        ]);

        foreach ($stops as $i => $stop) {
            $page = $this->get("/rounds/$round->id")
                ->assertSee("Cup $stop->cup_code")
                ->assertDontSee('repeat');
            // What was read just now is named; of those to come nothing but their codes.
            $shown = $i === 0 ? [] : [$stops[$i - 1]->batch->vessel];
            foreach (array_diff(['vat 1', 'vat 2', 'vat 4'], $shown) as $hidden) {
                $page->assertDontSee($hidden);
            }
            $page->assertDontSee('CS-04');
            $this->reads($round, [$stop->is($second) ? 4.29 : 4.2, 4.2 + ($stop->is($second) ? 0.09 : 0)])->assertSessionHasNoErrors();
        }

        $pair = BlindPair::query()->sole();
        self::assertSame([true, 1], [$pair->is_blind, $pair->pairs]);
        self::assertEqualsWithDelta(0.09, abs($pair->difference_ph), 0.002);
        $this->get("/rounds/$round->id")->assertSeeInOrder([
            'Round · results',
            'Second cup disagrees.',
            "Two cups of {$second->batch->vessel}, {$second->batch->code} differ by 0.09 pH",
            'Read the check buffer',
            'As it stood at the end of the round',
            'blind duplicate',
        ]);
        $this->get("/readings/{$second->visit()->firstOrFail()->measurement_id}")->assertSee("cup $second->cup_code, blind duplicate");
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_coded_cup_is_skipped_alone_so_that_nothing_tells_its_pair(): void
    {
        $this->readOften(9);
        $round = $this->setsOut(['CS-0417'], ['way' => 'coded']);
        $this->post("/rounds/$round->id/drawing", ['drawn_at' => '2026-11-25T10:00', 'form' => self::formId()])->assertSessionHasNoErrors();
        $first = $round->stops()->whereNull('duplicate_of')->firstOrFail();
        $this->get("/measure/{$this->batch()->id}?stop=$first->id")->assertDontSee('name="stop"', false);

        $this->post("/rounds/$round->id/pass", [
            'stop' => $first->id,
            'reason' => 'spilled',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        self::assertSame(1, $round->stops()->whereDoesntHave('visit')->count());
    }

    public function test_the_last_page_keeps_what_was_true_at_its_end_and_says_what_was_judged_anew(): void
    {
        $this->wait(2 * 3600);
        $round = $this->setsOut(['CS-0417']);
        $this->reads($round, [4.2, 4.2]);
        $this->get("/rounds/$round->id")
            ->assertSee('Check buffer due.')
            ->assertSee('Read check buffer')
            ->assertDontSee('Since ');

        $this->wait(300);
        $this->vouch();
        $this->get("/rounds/$round->id")
            ->assertSee('Ended without a check buffer.')
            ->assertSee('One decision has been made again since')
            ->assertSeeInOrder(['Critical limit not proven', 'Since 12:07', 'Critical limit met'])
            ->assertDontSee('Read check buffer');

        $this->wait(3600);
        $this->calibrate();
        $this->flushSession();
        $this->actingAs($this->people['checker'])
            ->get("/rounds/$round->id")
            ->assertSee('Ended without a check buffer.')
            ->assertSeeInOrder(['Critical limit not proven', 'Since 12:07']);
    }

    public function test_a_sample_that_stood_unchilled_counts_from_when_it_was_read(): void
    {
        foreach ([null, '1'] as $chilled) {
            $round = $this->setsOut(['CS-0421'], ['way' => 'coded']);
            $this->post("/rounds/$round->id/drawing", [
                'drawn_at' => '2026-11-25T09:30',
                'chilled' => $chilled,
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
            $this->reads($round, [4.2, 4.2]);
            $reading = Measurement::query()->orderByDesc('id')->firstOrFail();
            $counts = $chilled === null ? $reading->observed_at : $reading->occasion->drawn_at;
            self::assertEqualsWithDelta(
                $reading->occasion->batch->started_at->diffInSeconds($counts) / 3600,
                $this->decided($reading)->hours_since['start'] ?? null,
                1e-6,
            );
            $page = $this->get("/readings/$reading->id");
            $chilled === null ? $page->assertSee('Read 32 min after sampling, not kept cold.') : $page->assertDontSee('not kept cold');
        }
    }

    private function readOften(int $times): void
    {
        for ($read = 0; $read < $times; $read++) {
            $this->measure([5.0, 5.0]);
            $this->wait(60);
        }
        $this->vouch();
    }

    /**
     * @param list<string> $batches
     * @param array<string, string> $more
     */
    private function setsOut(array $batches, array $more = [], bool $still = true): Round
    {
        $this->post('/rounds', [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'batches' => array_map(fn(string $code): int => $this->batch($code)->id, $batches),
            'still' => $still ? '1' : null,
            ...$more,
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        return Round::query()->orderByDesc('id')->firstOrFail();
    }

    /**
     * At the stop whose turn it is.
     *
     * @param list<float> $portions pH
     * @param array<string, string> $more
     *
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function reads(Round $round, array $portions, array $more = [], ?string $watchedS = '60'): TestResponse
    {
        return $this->read($round, $round->stops()->whereDoesntHave('visit')->firstOrFail(), $portions, $more, $watchedS);
    }

    /**
     * @param list<float> $portions pH
     * @param array<string, string> $more
     *
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function read(Round $round, RoundStop $stop, array $portions, array $more = [], ?string $watchedS = '60'): TestResponse
    {
        return $this->from("/rounds/$round->id")->post("/rounds/$round->id/stops/$stop->id", [
            'portions' => array_map(fn(float $ph): string => (string) $this->shown($ph), $portions),
            'celsius' => '21.4',
            'watched' => array_fill(0, count($portions), $watchedS),
            ...$more,
            'form' => self::formId(),
        ]);
    }
}
