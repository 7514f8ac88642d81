<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Calibrate\LeaveRun;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Care\CareKind;
use Rheacid\Models\Meter;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** The shelf and the simulated bench, as people see them. */
final class ShelfTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['auditor']);
    }

    public function test_each_instrument_says_its_state_in_words(): void
    {
        $this->get('/ready')->assertSeeInOrder([
            'E-07',
            'Bench meter A',
            'never calibrated',
            'E-09',
            'soaking until 11:12',
            'T-03',
            'within tolerance, due 5 Dec 23:59',
            'T-05',
            'check overdue since 14 Nov 23:59',
            'Q-18',
            '10 of 10',
            'expired 16 Oct 2026',
        ]);
    }

    public function test_a_bottle_tells_its_values_its_uses_and_who_took_them(): void
    {
        $run = $this->openRun();
        $this->immerse('lot_id', $this->lot('Q-31')->id, $run);

        $this->get("/lots/{$this->lot('Q-31')->id}")->assertSeeInOrder([
            '4.01',
            '9 uses left',
            'Usable until 4 Feb 2027',
            'E-07',
            'Oda Venn',
            '± 0.02 pH',
            '25 °C',
            '4.010',
        ]);
        $this->get("/lots/{$this->lot('C-02')->id}")->assertSee('not for pH calibration');
    }

    public function test_a_bottles_own_table_overrides_the_shipped_one(): void
    {
        DB::connection('owner')
            ->table('lots')
            ->where('code', 'Q-31')
            ->update(['printed_table' => '[[20, 4.03], [30, 4.05]]']);

        self::assertEqualsWithDelta(4.04, $this->lot('Q-31')->buffer()->phAt(25), 1e-12);
    }

    public function test_an_opened_alkaline_bottle_is_good_for_thirty_days_whatever_its_label_says(): void
    {
        $lot = $this->lot('Q-35');

        self::assertSame('2026-12-19', $lot->status()->usableUntil, 'opened on 19 November');
        self::assertGreaterThan($lot->status()->usableUntil, $lot->expires_on->toDateString());
    }

    public function test_a_pair_shows_its_calibrations_newest_first_and_what_was_done_to_its_electrode(): void
    {
        $this->calibrate();
        $this->wait(60);
        $this->calibrate(91.0);

        $this->get("/pairs/{$this->pair()->id}")->assertSeeInOrder(['use with care', '91.', '98.', 'Oda Venn', 'pass']);
        $this->get("/pairs/{$this->pair('E-09')->id}")
            ->assertSee('re-hydration, 2 h in storage solution')
            ->assertSee('never in distilled water');
    }

    public function test_an_electrode_out_of_use_is_neither_calibrated_nor_measured_with(): void
    {
        $this->calibrate();
        (new LogCare())($this->people['lead'], IdempotencyKey::own(), $this->pair()->electrode, CareKind::OutOfUse, note: 'cracked');
        $refusals = [];
        foreach ([fn() => $this->openRun(), fn() => $this->begin()] as $try) {
            try {
                $try();
            } catch (Refused $refusal) {
                $refusals[] = $refusal->getMessage();
            }
        }

        self::assertCount(2, $refusals);
        self::assertStringContainsString('taken out of use', implode(' ', $refusals));
        $this->get('/ready')->assertSee('taken out of use');
    }

    public function test_an_overdue_thermometer_measures_but_cannot_release(): void
    {
        $this->calibrate();
        $this->wait(20 * 24 * 3600);
        $this->calibrate();

        self::assertContains('thermometer-overdue', $this->decided($this->measure([4.45, 4.46]))->blocks);
    }

    public function test_the_simulated_bench_shows_labels_and_never_what_is_in_a_cup(): void
    {
        $cups = SimulatedCups::bottles();

        self::assertContains('pH 7.00 · Q-29', array_map(static fn(Cup $cup): string => $cup->label, $cups));
        self::assertSame(['id', 'label', 'lotId', 'batchId'], array_keys(get_object_vars($cups[0])));
    }

    public function test_the_trace_grows_with_time_and_with_the_speed_of_the_bench(): void
    {
        $bench = app(SimulatedBench::class);
        $this->immerse('lot_id', $this->lot('Q-29')->id);
        $immersion = $bench->current($this->pair()->electrode);
        self::assertNotNull($immersion);
        $meter = Meter::query()->where('code', 'M-A')->firstOrFail();
        $this->wait(30);

        self::assertSame(30.0, $bench->trace($immersion, $meter)->lastSecond());
        DB::connection('owner')
            ->table('bench_immersions')
            ->update(['speed' => 10]);
        self::assertSame(300.0, $bench->trace($bench->current($this->pair()->electrode) ?? $immersion, $meter)->lastSecond());
    }

    public function test_only_the_person_who_holds_a_run_can_change_it(): void
    {
        $run = $this->openRun();

        $this->get("/runs/{$run->id}")
            ->assertSee('Oda Venn has been calibrating')
            ->assertDontSee('Take over calibration')
            ->assertDontSee('data-accept', false);
        $this->actingAs($this->people['second'])
            ->get("/runs/{$run->id}")
            ->assertSee('Take over calibration')
            ->assertDontSee('data-accept', false);
        $this->actingAs($this->people['checker'])
            ->get("/runs/{$run->id}")
            ->assertSee('data-accept', false);

        (new LeaveRun())($this->people['checker'], IdempotencyKey::own(), $run, null);
        $this->get("/runs/{$run->id}")
            ->assertSee('ended without a verdict')
            ->assertDontSee('data-accept', false);
    }

    public function test_a_measurement_is_taken_over_with_a_reason_only(): void
    {
        $this->calibrate();
        $draft = $this->begin();
        $this->actingAs($this->people['second']);

        $this->post("/drafts/{$draft->id}/take-over", ['form' => self::formId(), 'reason' => ' '])->assertSessionHasErrors('reason');
        $this->post("/drafts/{$draft->id}/take-over", ['form' => self::formId(), 'reason' => 'Oda went home'])->assertSessionHasNoErrors();

        self::assertSame($this->people['second']->id, $draft->refresh()->holder_id);
        $this->post("/drafts/{$draft->id}/leave", ['form' => self::formId(), 'reason' => ''])->assertRedirect(
            "/batches/{$this->batch()->id}",
        );
        self::assertSame(['taken-over', 'left'], DB::table('draft_events')->orderBy('id')->pluck('kind')->all());
    }
}
