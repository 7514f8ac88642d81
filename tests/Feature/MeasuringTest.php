<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\CorrectMeasurement;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Measurement;
use Rheacid\Models\Replicate;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

final class MeasuringTest extends BenchTestCase
{
    public function test_the_highest_portion_is_judged_with_its_uncertainty(): void
    {
        $this->calibrate();
        $this->vouch();

        $reading = $this->measure([4.45, 4.48]);

        self::assertEqualsWithDelta(4.48, $this->decided($reading)->value, 0.002);
        self::assertEqualsWithDelta(4.465, $this->decided($reading)->mean, 0.002);
        // By hand: buffers 0.0085, repeatability 0.018/√2, display 0.0029, temperature 0.0009, drift 0.02/√3 after the check, matrix
        // 0.04/√3.
        self::assertEqualsWithDelta(
            2 * sqrt(0.0085 ** 2 + 0.018 ** 2 / 2 + 0.0029 ** 2 + 0.0009 ** 2 + 0.02 ** 2 / 3 + 0.04 ** 2 / 3),
            $this->decided($reading)->expanded_u,
            0.0005,
        );
        self::assertSame(Overall::Accept, $this->decided($reading)->overall);
    }

    public function test_the_thermometers_correction_goes_into_the_ph_and_is_shown(): void
    {
        $this->calibrate();

        $replicate = $this->measure([4.45, 4.46])->replicates[0];

        self::assertSame([21.4, -0.4, 21.0], [$replicate->shown_c, $replicate->correction_c, $replicate->celsius]);
        $this->actingAs($this->people['auditor'])
            ->get('/readings/' . Measurement::query()->firstOrFail()->id)
            ->assertSee('shown 21.4, correction −0.4');
    }

    public function test_a_stored_ph_can_be_computed_again_from_its_row_and_its_calibration(): void
    {
        $this->calibrate();
        $this->measure([4.45, 4.48]);

        foreach (Replicate::query()->with('calibration.points')->get() as $replicate) {
            self::assertEqualsWithDelta(
                $replicate->value,
                $replicate->calibration->calibrationFunction()->tell($replicate->signal(), $replicate->celsius)->ph,
                1e-9,
            );
        }
    }

    public function test_portions_that_differ_by_more_than_0_05_ask_for_a_third_and_none_is_dropped(): void
    {
        $this->calibrate();
        try {
            $this->measure([4.4, 4.47]);
            self::fail('Two were enough.');
        } catch (Refused $refusal) {
            self::assertStringContainsString('3 portions are required; 2 read so far', $refusal->getMessage());
        }
        self::assertSame(2, Replicate::query()->count(), 'what was accepted is kept at once');

        $this->expectExceptionMessage('is measuring with E-07');
        $this->measure([4.4, 4.4]);
    }

    public function test_limits_that_are_not_due_do_not_hold_a_healthy_young_batch(): void
    {
        $this->calibrate();
        $this->vouch();

        $decision = $this->decided($this->measure([5.2, 5.21], batch: 'CS-0421'));

        self::assertSame(['Mash under way'], $decision->outcomes->pluck('name')->all());
        self::assertContains('Acid within a week', array_column($decision->not_due, 'name'));
        self::assertSame(Overall::Accept, $decision->overall);
        self::assertSame('running', $this->batch('CS-0421')->state()->value);
    }

    public function test_a_critical_limit_that_is_due_and_not_proven_holds_the_batch(): void
    {
        $this->calibrate();

        $reading = $this->measure([4.55, 4.56], Stage::Equilibrium, 'CS-0409');

        self::assertSame(Overall::Hold, $this->decided($reading)->overall);
        self::assertSame('held', $this->batch('CS-0409')->state()->value);
        $this->actingAs($this->people['checker'])
            ->get("/readings/{$reading->id}")
            ->assertSeeInOrder(['Critical limit not proven.', 'Equilibrium: pH ≤ 4.6, lacks 0.05 to be proven.', 'Not proven.']);
    }

    public function test_an_overdue_calibration_measures_but_cannot_release(): void
    {
        $this->calibrate();
        $this->wait(12 * 3600 + 1);

        $reading = $this->measure([4.45, 4.46]);

        self::assertContains('calibration-overdue', $this->decided($reading)->blocks);
        $this->actingAs($this->people['checker'])
            ->get("/readings/{$reading->id}")
            ->assertSee('The calibration is overdue');
    }

    public function test_a_sample_below_the_buffers_is_marked_and_less_certain_and_above_them_cannot_release(): void
    {
        $this->calibrate();

        $below = $this->measure([3.4, 3.41]);
        $above = $this->measure([7.3, 7.31]);

        self::assertEqualsWithDelta(0.59, $below->replicates[1]->outside_by_ph, 0.005);
        self::assertSame([], array_intersect(['far-below-bracket', 'above-bracket'], $this->decided($below)->blocks));
        self::assertGreaterThan(0.075, $this->decided($below)->expanded_u);
        self::assertContains('above-bracket', $this->decided($above)->blocks);
    }

    public function test_a_reading_outside_the_buffers_harms_nothing_that_is_read_after_it(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([7.3, 7.31]);
        $this->wait(60);

        self::assertSame(PairState::Ready, Readiness::of($this->pair())->state);
        self::assertSame([], $this->decided($this->measure([4.45, 4.46]))->blocks);
    }

    public function test_a_sample_far_from_the_temperature_of_the_calibration_is_marked(): void
    {
        $this->calibrate();
        $draft = $this->begin();
        foreach ([34.0, 22.0] as $celsius) {
            (new AcceptReplicate())(
                $this->people['checker'],
                IdempotencyKey::own(),
                $draft,
                $this->typed($this->shown(4.5, celsius: $celsius), $celsius),
                null,
            );
        }

        $page = (string) $this->actingAs($this->people['checker'])
            ->get("/drafts/{$draft->id}")
            ->assertOk()
            ->getContent();

        self::assertSame(1, substr_count($page, 'calibrated at 21.0 °C'), 'the warm portion, and not the other');
    }

    public function test_without_any_calibration_nothing_is_measured(): void
    {
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('Calibrate it first');

        $this->begin();
    }

    public function test_a_correction_is_a_new_entry_that_supersedes_the_first(): void
    {
        $this->calibrate();
        $first = $this->measure([4.45, 4.46]);
        $before = $first->replicates->pluck('mv');

        $corrected = $this->correct($first, [1 => ['signal' => Signal::mv($this->shown(4.4)), 'celsius' => 21.4]], 'one digit mistyped');

        self::assertSame($first->id, $corrected->supersedes_id);
        self::assertEquals($before, $first->refresh()->replicates->pluck('mv'), 'the first entry stands as it was');
        self::assertSame([$corrected->id], $corrected->occasion->measurements()->pluck('id')->all());
        $this->actingAs($this->people['auditor'])
            ->get("/readings/{$first->id}")
            ->assertSee('A newer entry replaces this one');
    }

    public function test_a_reading_is_corrected_once_by_its_own_checker_or_the_lead_and_never_without_a_reason(): void
    {
        $this->calibrate();
        $reading = $this->measure([4.45, 4.46]);
        $refusals = [
            'Checkers can correct only their own readings' => fn() => $this->correct($reading, [], 'why', 'second'),
            'Give a reason for the correction.' => fn() => $this->correct($reading, [], null),
        ];
        foreach ($refusals as $message => $try) {
            try {
                $try();
                self::fail('It was corrected.');
            } catch (Refused $refusal) {
                self::assertStringContainsString($message, $refusal->getMessage());
            }
        }
        $this->correct($reading, [], 'wrong place written', 'lead');

        $this->expectExceptionMessage('was already corrected');
        $this->correct($reading, [], 'once more');
    }

    public function test_only_the_holder_adds_to_a_measurement(): void
    {
        $this->calibrate();
        $draft = $this->begin();

        $this->expectExceptionMessage('Oda Venn has been measuring');
        (new AcceptReplicate())($this->people['second'], IdempotencyKey::own(), $draft, $this->typed(150.0), null);
    }

    public function test_a_measurement_without_a_portion_is_not_recorded(): void
    {
        $this->calibrate();

        $this->expectExceptionMessage('No portion has been read yet');
        app(RecordMeasurement::class)($this->people['checker'], IdempotencyKey::own(), $this->begin());
    }

    /** @param array<int, array{signal: Signal, celsius: float}> $values */
    private function correct(Measurement $reading, array $values, ?string $reason, string $by = 'checker'): Measurement
    {
        $sample = $reading->sample;

        return app(CorrectMeasurement::class)(
            $this->people[$by],
            IdempotencyKey::own(),
            $reading,
            $reading->occasion->stage,
            $sample->place,
            $sample->drawn_at,
            $values,
            $reason,
        );
    }
}
