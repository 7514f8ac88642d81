<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\CloseStaleRun;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Actions\Calibrate\PointAnswers;
use Rheacid\Actions\Calibrate\ReadControlCheck;
use Rheacid\Actions\Calibrate\TakeOverRun;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Bench\TypedReading;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Replicate;
use Rheacid\Models\RunState;
use Rheacid\Models\SessionMoment;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** Slips at the calibration that leave a good line behind: each is asked, kept, and settled only by a check buffer that cannot share it. */
final class DoubtfulCalibrationTest extends BenchTestCase
{
    public function test_a_break_before_the_next_point_is_asked_and_bars_binding_limits_until_a_check_buffer_agrees(): void
    {
        $run = $this->openRun();
        $this->accepts($run, 0, 'Q-29');
        $this->accepts($run, 1, 'Q-31');
        $this->wait(9 * 3600);
        $this->actingAs($this->people['checker'])
            ->get("/runs/$run->id")
            ->assertSeeInOrder(['Left for 9 h.', 'go on with a reason']);
        $this->get('/calibrate')->assertSee('last touched 9 h ago');

        $this->refuses(fn() => $this->accepts($run, 2, 'Q-29'), 'gap_reason', 'accepted 9 h ago');
        $this->refuses(
            fn() => $this->accepts($run, 2, 'Q-29', new PointAnswers(haste: 'in a hurry', cup: 'it is')),
            'gap_reason',
            'accepted 9 h ago',
        );
        $this->accepts($run, 2, 'Q-29', new PointAnswers(gap: 'the shift ended'));

        $calibration = $run->calibration()->firstOrFail();
        self::assertSame([Verdict::Caution, [FindingCode::PointsApart]], [$calibration->verdict, self::cautions($calibration)]);
        self::assertSame(['control-check-missing', 'points-apart'], $this->blocks());
        $this->get("/calibrations/$calibration->id")->assertSeeInOrder([
            'Use with care.',
            'Not yet for critical or legal limits.',
            'the shift ended',
        ]);
        $this->vouch();
        self::assertSame([], $this->blocks());
        $this->get("/calibrations/$calibration->id")->assertDontSee('Not yet for critical');
    }

    public function test_a_run_left_before_its_second_point_is_ended_by_the_site_and_takes_no_point_more(): void
    {
        $run = $this->openRun();
        $this->accepts($run, 0, 'Q-29');
        $this->wait(15 * 60);
        self::assertSame(0, (new CloseStaleRun())());
        $this->wait(1);

        $this->refuses(
            fn() => $this->accepts($run, 1, 'Q-31', self::answers('all the same')),
            'run',
            'left for 15 min before its second point',
        );
        self::assertSame(1, (new CloseStaleRun())());
        self::assertSame(RunState::Abandoned, $run->refresh()->state);
        self::assertSame('Quillmere Pantry Works', $run->events()->where('kind', 'abandoned')->sole()->person->name);
        self::assertSame(0, (new CloseStaleRun())());
    }

    public function test_cold_buffers_are_questioned_and_only_a_check_that_cannot_be_as_cold_settles_it(): void
    {
        $this->calibrate(97.0);
        $this->wait(86_400);
        $cold = $this->coldRun();
        self::assertSame([Verdict::Caution, [FindingCode::AsFoundJumped]], [$cold->verdict, self::cautions($cold)]);
        self::assertEqualsWithDelta(94.4, (float) $cold->slope_percent, 0.1, 'by itself it would pass');

        $this->checks(8.0, 21.0, $this->probe());
        self::assertSame(['buffers-in-question'], $this->blocks(), 'a check buffer as cold as the others agrees with the fault');
        $this->actingAs($this->people['checker'])
            ->get("/pairs/{$this->pair()->id}/check")
            ->assertSee('another verified thermometer');

        // The same fault again the next day does not confirm itself.
        $this->wait(86_400);
        self::assertSame([FindingCode::AsFoundJumped], self::cautions($this->coldRun()));

        $this->checks(21.0, 21.4, $this->thermometer());
        self::assertSame(PairState::Doubtful, Readiness::of($this->pair())->state, 'a warm one disagrees');
    }

    public function test_an_electrode_that_really_changed_is_settled_by_a_warm_check_of_another_thermometer(): void
    {
        $this->calibrate(98.0);
        $this->wait(86_400);
        $calibration = $this->calibrate(94.5);
        self::assertContains(FindingCode::SlopeJumped, self::cautions($calibration));

        $this->checks(21.0, 21.0, $this->probe(), 94.5);
        self::assertSame(['buffers-in-question'], $this->blocks(94.5), 'the probe of the run');
        $this->checks(21.0, 21.4, $this->thermometer(), 94.5);
        self::assertSame([], $this->blocks(94.5));
        self::assertNull($calibration->void()->first());

        $this->wait(86_400);
        self::assertSame([], self::cautions($this->calibrate(94.0)), 'it is the sound run now');
    }

    public function test_a_cleaning_explains_the_change_and_a_failed_run_between_is_no_jump(): void
    {
        $this->calibrate(93.0);
        $this->wait(3600);
        $this->actingAs($this->people['checker']);
        app(LogCare::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair()->electrode,
            CareKind::Cleaned,
            null,
            Dirt::General,
        );
        $this->wait(3600);
        self::assertSame([], self::cautions($this->calibrate(97.5)));

        $this->wait(3600);
        self::assertSame(Verdict::Fail, $this->calibrate(80.0)->verdict);
        $this->wait(3600);
        $sound = $this->calibrate(97.3);
        self::assertSame(Verdict::Pass, $sound->verdict);
        $this->get("/calibrations/$sound->id")->assertDontSee('changed suddenly');
    }

    public function test_without_a_verified_thermometer_and_without_a_sound_run_binding_limits_wait_for_a_check(): void
    {
        $calibration = $this->typedRun(null);
        self::assertSame(Verdict::Pass, $calibration->verdict);
        $this->checks(21.0, 21.0, null);
        self::assertSame(['buffers-in-question'], $this->blocks());
        $this->checks(21.0, 21.4, $this->thermometer());
        self::assertSame([], $this->blocks());

        $this->wait(86_400);
        self::assertNotContains(
            FindingCode::TemperatureUnchecked,
            array_column($this->typedRun(null)->found(), 'code'),
            'yesterday’s run speaks for it',
        );
    }

    public function test_a_near_twin_in_the_cup_asks_for_the_label_and_for_a_check_of_another_family(): void
    {
        foreach ([97.0, 97.2, 96.9, 97.1] as $percent) {
            $this->calibrate($percent);
            $this->wait(7200);
        }
        // A bottle of 6.86 stands in the cup of 7.00: the slope alone would pass.
        $run = $this->openRun();
        $twin = fn(?PointAnswers $answers = null) => $this->accepts(
            $run,
            0,
            'Q-29',
            $answers ?? new PointAnswers(),
            ph: $this->lot('R-08')->buffer()->phAt(21),
            percent: 97.0,
        );
        $this->refuses($twin, 'label', 'this is pH 6.86');
        $this->refuses(fn() => $twin(new PointAnswers(haste: 'in a hurry')), 'label', 'this is pH 6.86');
        $twin(new PointAnswers(isLabelChecked: true));
        $this->accepts($run, 1, 'Q-31', self::answers('as it stands'), percent: 97.0);
        $this->accepts($run, 2, 'Q-29', self::answers('as it stands'), ph: $this->lot('R-08')->buffer()->phAt(21), percent: 97.0);

        $calibration = $run->calibration()->firstOrFail();
        self::assertContains(FindingCode::NearTwin, self::cautions($calibration));
        self::assertStringContainsString(
            '6.86',
            (string) CalibrationPoint::query()->where('calibration_run_id', $run->id)->orderBy('station')->firstOrFail()->twin,
        );
        $this->vouch();
        self::assertContains('near-twin', $this->blocks(97.0), 'a second bottle of 4.01 confirms 4.01 alone');
        $this->actingAs($this->people['checker'])
            ->get("/calibrations/$calibration->id")
            ->assertSee('The cup of 7.02 may have held 6.88');
    }

    public function test_haste_is_no_reason_for_the_wrong_cup_nor_the_label_for_a_buffer_that_is_recognised(): void
    {
        $run = $this->openRun();
        $wrong = fn(PointAnswers $answers) => $this->accepts($run, 0, 'Q-29', $answers, ph: 4.0);
        $this->refuses(fn() => $wrong(new PointAnswers(haste: 'in a hurry')), 'cup_reason', 'Move the electrode to the right cup');
        $this->refuses(fn() => $wrong(new PointAnswers(isLabelChecked: true)), 'cup_reason', 'Move the electrode to the right cup');
        $this->refuses(
            fn() => $this->accepts($run, 0, 'Q-29', new PointAnswers(cup: 'it is'), isStill: false),
            'reason',
            'stable for 30 s',
        );

        $wrong(new PointAnswers(cup: 'the labels are swapped'));
        self::assertTrue(CalibrationPoint::query()->sole()->against_recognition);
    }

    #[TestWith([false])]
    #[TestWith([true])]
    public function test_a_reading_that_is_only_said_to_have_stood_proves_by_policy_alone(bool $saidProves): void
    {
        if ($saidProves) {
            $now = $this->pair()->policy;
            $typed = [
                ...$now->only([
                    'slope_low_percent',
                    'slope_high_percent',
                    'zero_point_ph',
                    'offset_mv',
                    'response_time_s',
                    'residual_ph',
                    'read_back_limit_ph',
                    'pooled_sd_ph',
                    'interval_count',
                    'rinse',
                ]),
                'interval_kind' => $now->interval_kind->value,
                'buffer_family' => $now->buffer_family->value,
                'buffer_order' => $now->buffer_order->value,
                'fit' => $now->fit->value,
            ];
            $this->actingAs($this->people['lead'])
                ->post("/policies/$now->id", [...$typed, 'said_proves' => '1', 'reason' => 'a small cellar', 'form' => self::formId()])
                ->assertSessionHasNoErrors();
        }
        $this->calibrate();
        $this->vouch();
        $draft = $this->begin();
        $this->actingAs($this->people['checker']);
        foreach (['45', null] as $watched) {
            $this->post("/drafts/$draft->id/replicates", [
                'mv' => (string) $this->shown(4.45),
                'celsius' => '21.4',
                'still' => '1',
                'watched_s' => $watched,
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }
        $this->get("/drafts/$draft->id")->assertSee('stable by the checker’s word');
        $this->post("/drafts/$draft->id/reading", ['form' => self::formId()]);

        self::assertSame([Stability::Said, Stability::Said], Replicate::query()->pluck('stability')->all());
        $measured = $this->measure([4.45, 4.45]);
        self::assertSame([], $this->decided($measured)->blocks, 'watched ones prove');
        self::assertSame(
            $saidProves ? [] : ['stability-said'],
            $this->batch()->occasions()->orderBy('id')->firstOrFail()->decision->blocks,
        );
    }

    public function test_one_buffer_is_called_screening_before_it_begins_and_shows_no_slope_anywhere(): void
    {
        $this->actingAs($this->people['checker'])
            ->post("/calibrate/{$this->pair()->id}/runs", [
                'lots' => ['Q-31'],
                'read_back' => 'R-07',
                'source' => 'typed',
                'form' => self::formId(),
            ])
            ->assertSessionHasErrors('answer');
        self::assertStringStartsWith('One buffer measures no slope: this is for screening only', session('errors')->first('answer'));
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            'lots' => ['Q-31'],
            'read_back' => 'R-07',
            'source' => 'typed',
            'answer' => 'a quick look',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $run = CalibrationRun::query()->sole();
        $this->accepts($run, 0, 'Q-31');
        (new TakeOverRun())($this->people['second'], IdempotencyKey::own(), $run, 'Oda was called away');
        $this->accepts($run, 1, 'R-07', by: 'second');
        $calibration = $run->calibration()->firstOrFail();

        self::assertNull($calibration->slope_percent);
        foreach (
            [
                "/calibrations/$calibration->id",
                "/calibrations/$calibration->id/certificate",
                "/pairs/{$this->pair()->id}",
                '/ready',
                "/calibrate/{$this->pair()->id}",
            ] as $page
        ) {
            $this->get($page)->assertOk()->assertDontSee('100.0');
        }
        $this->get("/calibrations/$calibration->id")->assertSeeInOrder(['One buffer', 'for screening only']);
        $this->get("/calibrations/$calibration->id/certificate")->assertSee('Oda Venn, Perrin Quillby');
    }

    public function test_one_use_more_of_a_bottle_takes_a_reason_and_is_shown_and_a_second_one_is_refused(): void
    {
        $lot = $this->lot('Q-31');
        $used = CalibrationRun::query()->count();
        while ($lot->status()->usesLeft > 0) {
            DB::connection('owner')
                ->table('lot_uses')
                ->insert(['lot_id' => $lot->id, 'calibration_run_id' => null, 'at' => '2026-11-25 09:00:00.000']);
        }
        $this->actingAs($this->people['checker']);
        $form = ['lots' => ['Q-29', 'Q-31'], 'read_back' => 'R-07', 'source' => 'typed', 'thermometer' => $this->probe()?->id];
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            ...$form,
            'seen' => session('asked'),
            'form' => self::formId(),
        ])->assertSessionHasErrors('answer');
        self::assertStringContainsString('A bottle has no use left.', session('errors')->first('answer'));
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            ...$form,
            'seen' => str_replace(' Give a reason, or change your choice.', '', session('errors')->first('answer')),
            'form' => self::formId(),
        ])->assertSessionHasErrors('answer');
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            ...$form,
            'answer' => 'the new bottle comes tomorrow',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $run = CalibrationRun::query()->sole();
        foreach (['Q-29', 'Q-31', 'R-07'] as $station => $code) {
            $this->accepts($run, $station, $code);
        }
        $calibration = $run->calibration()->firstOrFail();
        foreach (["/calibrations/$calibration->id", "/calibrations/$calibration->id/certificate"] as $page) {
            $this->get($page)->assertSee('no use left')->assertSee('the new bottle comes tomorrow');
        }
        $this->refuses(fn() => $this->openRun(), 'lots', 'all 10 uses spent');
        self::assertSame($used + 1, CalibrationRun::query()->count());
    }

    /** @return array<array-key, mixed> what a reading of a batch is barred by now */
    private function blocks(float $percent = 98.0): array
    {
        $draft = $this->begin();
        foreach ([1, 2] as $portion) {
            (new AcceptReplicate())(
                $this->people['checker'],
                IdempotencyKey::own(),
                $draft,
                $this->typed($this->shown(4.45, $percent), 21.4),
                null,
            );
        }

        return $this->decided(app(RecordMeasurement::class)($this->people['checker'], IdempotencyKey::own(), $draft))->blocks;
    }

    /** @return list<FindingCode> */
    private static function cautions(Calibration $calibration): array
    {
        return array_values(
            array_filter(
                array_column($calibration->found(), 'code'),
                static fn(FindingCode $code): bool => !in_array(
                    $code,
                    [FindingCode::SlopeNearLow, FindingCode::NoCheck, FindingCode::OnePoint],
                    true,
                ),
            ),
        );
    }

    private function accepts(
        CalibrationRun $run,
        int $station,
        string $lot,
        PointAnswers $answers = new PointAnswers(),
        ?float $ph = null,
        float $percent = 98.0,
        bool $isStill = true,
        string $by = 'checker',
    ): void {
        app(AcceptPoint::class)(
            $this->people[$by],
            IdempotencyKey::own(),
            $run->refresh(),
            $station,
            $this->typed($this->shown($ph ?? $this->lot($lot)->buffer()->phAt(21), $percent), still: $isStill),
            $answers,
        );
    }

    private function refuses(callable $does, string $field, string $says): void
    {
        try {
            $does();
        } catch (Refused $refused) {
            self::assertSame($field, $refused->field());
            self::assertStringContainsString($says, $refused->getMessage());

            return;
        }
        self::fail("It was taken, though \"$says\".");
    }

    /** Buffers out of the refrigerator at 8 °C, typed as 21 °C, on an electrode of 97 %. */
    private function coldRun(): Calibration
    {
        return $this->typedRun($this->probe(), trueC: 8.0, percent: 97.0);
    }

    private function typedRun(?Thermometer $thermometer, float $trueC = 21.0, float $percent = 98.0): Calibration
    {
        $bottles = [$this->lot('Q-29'), $this->lot('Q-31')];
        $run = (new OpenRun())(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $bottles,
            $bottles[0],
            Source::Typed,
            null,
            answer: 'asked by a test',
            thermometer: $thermometer,
        );
        foreach ([...$bottles, $bottles[0]] as $station => $lot) {
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run->refresh(),
                $station,
                $this->typed($this->shown($lot->buffer()->phAt($trueC), $percent, celsius: $trueC)),
                self::answers('as it stands'),
            );
        }

        return $run->calibration()->firstOrFail();
    }

    /** A second bottle of 4.01, truly at one temperature, and what the thermometer in the cup shows. */
    private function checks(float $trueC, float $shownC, ?Thermometer $by, float $percent = 98.0): ControlCheck
    {
        $lot = $this->lot('R-07');

        $slope = match (true) {
            $trueC >= 10 && $percent === 98.0 => 98.0,
            default => $percent === 98.0 ? 97.0 : $percent,
        };

        return app(ReadControlCheck::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $lot,
            SessionMoment::Within,
            new TypedReading(Signal::mv($this->shown($lot->buffer()->phAt($trueC), $slope, celsius: $trueC)), $shownC, false, 40.0, 60.0),
            null,
            $by,
        );
    }
}
