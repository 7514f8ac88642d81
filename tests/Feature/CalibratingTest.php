<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\LeaveRun;
use Rheacid\Actions\Calibrate\TakeOverRun;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedReading;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\LotUse;
use Rheacid\Models\RunState;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

final class CalibratingTest extends BenchTestCase
{
    public function test_a_run_at_the_simulated_bench_ends_in_a_calibration_of_the_true_electrode(): void
    {
        $run = $this->openRun();
        $accept = app(AcceptPoint::class);
        foreach (['Q-29', 'Q-31', 'Q-29'] as $station => $code) {
            $this->immerse('lot_id', $this->lot($code)->id, $run);
            $this->wait(120);
            $accept(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                $station,
                new SimulatedReading(app(SimulatedBench::class), $this->pair(), null),
            );
        }

        $calibration = $run->calibration()->firstOrFail();

        self::assertSame(Verdict::Pass, $calibration->verdict);
        self::assertEqualsWithDelta(98.4, $calibration->slope_percent, 0.3, 'the demo electrode has 98.4 %');
        self::assertSame(PairState::Ready, Readiness::of($this->pair())->state);
        self::assertSame(1, $this->lot('Q-29')->uses()->count(), 'read twice, used once');
    }

    /** @return iterable<string, array{float, float|null, Verdict, PairState}> */
    public static function verdicts(): iterable
    {
        yield 'a healthy electrode' => [98.0, null, Verdict::Pass, PairState::Ready];
        yield '91 % is usable with care' => [91.0, null, Verdict::Caution, PairState::UseWithCare];
        yield '88 % fails' => [88.0, null, Verdict::Fail, PairState::Failed];
        yield 'a read-back of 7.09 in 7.02 fails' => [98.0, 7.09, Verdict::Fail, PairState::Failed];
    }

    #[DataProvider('verdicts')]
    public function test_the_verdict_decides_what_the_pair_is_fit_for(
        float $percent,
        ?float $readBack,
        Verdict $verdict,
        PairState $state,
    ): void {
        $calibration = $this->calibrate($percent, $readBack);

        self::assertSame($verdict, $calibration->verdict);
        self::assertSame($state, Readiness::of($this->pair())->state);
        $page = $this->actingAs($this->people['auditor'])
            ->get("/calibrations/{$calibration->id}")
            ->assertOk();
        if ($verdict === Verdict::Fail && $readBack === null) {
            $page->assertSeeInOrder([
                'Fail.',
                'Slope 88.0 %',
                'Take fresh buffers, as warm as the samples',
                'One of these: exhausted or contaminated buffers',
            ]);
        }
    }

    public function test_a_failed_run_never_restores_the_calibration_before_it(): void
    {
        $this->calibrate();
        $this->wait(60);
        $this->calibrate(85.0);

        self::assertSame(PairState::Failed, Readiness::of($this->pair())->state);
    }

    public function test_the_old_calibration_reads_each_buffer_as_found(): void
    {
        $this->calibrate(98.0);
        $this->wait(3600);
        $run = $this->openRun();

        $point = app(AcceptPoint::class)($this->people['checker'], IdempotencyKey::own(), $run, 0, $this->typed($this->shown(7.017) + 2.9));

        self::assertEqualsWithDelta(-2.9 / 57.2, (float) $point->asFoundError(), 0.002);
    }

    public function test_leaving_a_run_keeps_the_old_calibration_unless_it_was_found_off(): void
    {
        $this->calibrate();
        foreach ([[0.0, PairState::Ready], [6.0, PairState::Doubtful]] as [$off, $state]) {
            $this->wait(600);
            $run = $this->openRun();
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                0,
                $this->typed($this->shown(7.017) + $off),
                self::answers('the label says 7.00'),
            );
            (new LeaveRun())($this->people['checker'], IdempotencyKey::own(), $run, null);

            self::assertSame($state, Readiness::of($this->pair())->state, "$off mV off as found");
            self::assertSame(RunState::Abandoned, $run->refresh()->state);
            // What is not sealed of the run says nothing about it.
            DB::table('calibration_runs')
                ->where('id', $run->id)
                ->update(['state' => 'completed']);
            self::assertSame($state, Readiness::of($this->pair())->state, "$off mV off as found");
        }
    }

    public function test_a_wrong_buffer_is_recognised_and_accepted_only_with_a_reason(): void
    {
        $run = $this->openRun();
        $accept = app(AcceptPoint::class);
        try {
            $accept($this->people['checker'], IdempotencyKey::own(), $run, 0, $this->typed($this->shown(4.0)));
            self::fail('It was taken.');
        } catch (Refused $refusal) {
            self::assertMatchesRegularExpression('/reads like pH 4\.01.*pH 7\.00 is expected/', $refusal->getMessage());
        }

        self::assertSame(0, CalibrationPoint::query()->count());
        self::assertSame(
            'swapped on purpose',
            $accept(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                0,
                $this->typed($this->shown(4.0)),
                self::answers('swapped on purpose'),
            )->cup_reason,
        );
    }

    public function test_an_unsettled_reading_is_refused_with_the_seconds_to_go(): void
    {
        $run = $this->openRun();
        $this->immerse('lot_id', $this->lot('Q-29')->id, $run);
        $this->wait(12);

        $this->expectException(Refused::class);
        $this->expectExceptionMessageMatches('/Not stable yet: \d+ s to go/');
        app(AcceptPoint::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $run,
            0,
            new SimulatedReading(app(SimulatedBench::class), $this->pair(), null),
        );
    }

    public function test_one_immersion_serves_one_point(): void
    {
        $run = $this->openRun();
        $this->immerse('lot_id', $this->lot('Q-29')->id, $run);
        $this->wait(120);
        $source = new SimulatedReading(app(SimulatedBench::class), $this->pair(), null);
        app(AcceptPoint::class)($this->people['checker'], IdempotencyKey::own(), $run, 0, $source);

        $this->expectExceptionMessage('This reading was already accepted');
        app(AcceptPoint::class)($this->people['checker'], IdempotencyKey::own(), $run, 1, $source, self::answers('again'));
    }

    /** @return iterable<string, array{non-empty-list<string>, string}> */
    public static function unusableBottles(): iterable
    {
        yield 'expired' => [['Q-29', 'Q-18'], 'expired'];
        yield 'a conductivity standard' => [['Q-29', 'C-02'], 'not a pH buffer'];
        yield 'two families beside each other' => [['Q-29', 'R-08'], 'too close'];
    }

    /** @param non-empty-list<string> $lots */
    #[DataProvider('unusableBottles')]
    public function test_an_unusable_bottle_is_refused_with_the_reason(array $lots, string $why): void
    {
        try {
            $this->openRun($lots);
            self::fail('It was accepted.');
        } catch (Refused $refusal) {
            self::assertStringContainsString($why, $refusal->getMessage());
            self::assertSame(0, CalibrationRun::query()->count());
        }
    }

    public function test_a_bottle_used_up_and_once_more_is_refused(): void
    {
        for ($i = 0; $i < 8; $i++) {
            $this->wait(60);
            $run = $this->openRun(['Q-29', 'Q-31']);
            $this->immerse('lot_id', $this->lot('Q-29')->id, $run);
            (new LeaveRun())($this->people['checker'], IdempotencyKey::own(), $run, null);
        }
        self::assertSame(8, LotUse::query()->count());

        $this->expectExceptionMessage('all 7 uses spent');
        $this->openRun(['Q-29', 'Q-31']);
    }

    public function test_a_soaking_electrode_is_calibrated_only_with_a_reason(): void
    {
        try {
            $this->openRun(electrode: 'E-09');
            self::fail('It was opened.');
        } catch (Refused $refusal) {
            self::assertSame('soak_reason', $refusal->field());
        }

        self::assertSame(
            'the other one broke',
            $this->openRun(electrode: 'E-09', reason: 'the other one broke')->events()->firstOrFail()->reason,
        );
    }

    public function test_a_second_person_at_an_electrode_is_told_and_may_take_over_with_a_reason(): void
    {
        $run = $this->openRun();
        try {
            $this->openRun(by: $this->people['second']);
            self::fail('Two runs were opened.');
        } catch (Refused $refusal) {
            self::assertStringContainsString('Oda Venn is calibrating with E-07 since 10:00', $refusal->getMessage());
        }

        (new TakeOverRun())($this->people['second'], IdempotencyKey::own(), $run, 'Oda was called away');

        self::assertSame($this->people['second']->id, $run->refresh()->holder_id);
        $this->expectExceptionMessage('Perrin Quillby has been calibrating');
        app(AcceptPoint::class)($this->people['checker'], IdempotencyKey::own(), $run, 0, $this->typed($this->shown(7.0)));
    }

    public function test_a_run_untouched_for_15_minutes_before_its_second_point_gives_the_pair_free(): void
    {
        $stale = $this->openRun();
        $this->wait(16 * 60);

        $fresh = $this->openRun(by: $this->people['second']);

        self::assertSame(RunState::Abandoned, $stale->refresh()->state);
        self::assertSame(RunState::Open, $fresh->state);
    }

    public function test_what_is_asked_before_a_run_is_kept_with_its_answer(): void
    {
        $this->actingAs($this->people['checker']);
        $form = ['lots' => ['Q-29', 'Q-31'], 'source' => 'typed'];
        $this->post("/calibrate/{$this->pair()->id}/runs", [...$form, 'form' => self::formId()])->assertSessionHasErrors('answer');
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            ...$form,
            'seen' => 'What another choice was asked.',
            'form' => self::formId(),
        ])->assertSessionHasErrors('answer');
        self::assertSame(0, CalibrationRun::query()->count());

        $this->post("/calibrate/{$this->pair()->id}/runs", [
            ...$form,
            'answer' => 'no other bottle is left',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $asked = CalibrationRun::query()->sole()->events()->where('kind', 'asked')->sole();
        self::assertStringContainsString('which confirms itself. — no other bottle is left', (string) $asked->reason);
    }

    public function test_a_buffer_that_is_warmer_than_the_one_before_is_asked_about_and_changes_no_verdict(): void
    {
        $run = $this->openRun();
        $accept = app(AcceptPoint::class);
        $accept(
            $this->people['checker'],
            IdempotencyKey::own(),
            $run,
            0,
            $this->typed($this->shown($this->lot('Q-29')->buffer()->phAt(21))),
            self::answers('typed by a test'),
        );
        $warmer = $this->typed($this->shown($this->lot('Q-31')->buffer()->phAt(23.5), celsius: 23.5), 23.5);
        try {
            $accept($this->people['checker'], IdempotencyKey::own(), $run->refresh(), 1, $warmer);
            self::fail('It was not asked.');
        } catch (Refused $refused) {
            self::assertStringContainsString('23.5 °C, the previous one was at 21.0 °C', $refused->getMessage());
        }
        $accept(
            $this->people['checker'],
            IdempotencyKey::own(),
            $run->refresh(),
            1,
            $warmer,
            self::answers('the bottle came from the warm shelf'),
        );
        $accept(
            $this->people['checker'],
            IdempotencyKey::own(),
            $run->refresh(),
            2,
            $this->typed($this->shown($this->lot('Q-29')->buffer()->phAt(21))),
            self::answers('read back'),
        );

        self::assertSame(Verdict::Pass, $run->calibration()->firstOrFail()->verdict);
    }
}
