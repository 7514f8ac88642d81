<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\ChartSignal;
use Rheacid\Core\Care\CleaningEffect;
use Rheacid\Core\Care\CleaningProof;
use Rheacid\Core\Care\ControlChart;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Cells\CellStandard;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferRecognition;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\CupRecognition;
use Rheacid\Core\Electrode\DecidedCalibration;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\NearTwin;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Electrode\ShownScale;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Electrode\TemperaturesCancel;
use Rheacid\Core\Solutions\BottlesNeeded;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Solutions\ControlBuffer;
use Rheacid\Core\Words\DiagnosisWords;

/** Small rules of electrodes, their care and their buffers, by hand. */
final class ElectrodeRulesTest extends TestCase
{
    public function test_a_bracket_reaches_from_the_lowest_buffer_to_the_highest(): void
    {
        $fit = CalibrationFit::through([
            new CalibrationPoint(7.0, 0.0, 25.0, 40),
            new CalibrationPoint(4.0, 177.0, 25.0, 40),
            new CalibrationPoint(10.0, -177.0, 25.0, 40),
        ]);

        self::assertSame([4.0, 10.0], $fit->bracket());
    }

    public function test_of_the_buffers_that_are_left_the_one_in_the_cup_takes_the_station(): void
    {
        $left = [2 => Buffer::named('technical-4.01'), 5 => Buffer::named('technical-7.00')];
        $in = static fn(float $ph): Signal => Signal::mv(Nernst::mvPerPh(25.0) * (7 - $ph));

        self::assertSame(2, CupRecognition::station($left, $in(4.01), 25.0, null));
        self::assertSame(5, CupRecognition::station($left, $in(7.0), 25.0, null));
        self::assertSame(2, CupRecognition::station($left, $in(4.51), 25.0, null, 0.5), 'a poisoned reference moves every buffer alike');
        self::assertNull(CupRecognition::station([], $in(7.0), 25.0, null));
    }

    public function test_sides_that_differ_by_less_than_forty_are_not_swapped_though_one_is_nearly_nothing(): void
    {
        $side = static fn(float $acid, float $alkaline): CalibrationFit => CalibrationFit::through([
            new CalibrationPoint(7.0, 0.0, 25.0, 40),
            new CalibrationPoint(4.0, 1.7748 * $acid, 25.0, 40),
            new CalibrationPoint(10.0, -1.7748 * $alkaline, 25.0, 40),
        ]);
        $diagnosed = static fn(CalibrationFit $fit): ?Diagnosis => Diagnosis::of($fit, Criteria::process(), false, new ElectrodePast());

        self::assertNotSame(Diagnosis::Swapped, $diagnosed($side(45.0, 8.0)));
        self::assertSame(Diagnosis::Swapped, $diagnosed($side(49.0, 8.0)));
    }

    public function test_a_calibration_is_uncertain_by_each_of_its_reasons_alone(): void
    {
        $found = static fn(FindingCode $code): array => [new Finding($code, Severity::Caution)];

        self::assertFalse(JudgedCalibration::isUncertain([], null, false));
        self::assertFalse(JudgedCalibration::isUncertain($found(FindingCode::ResponseSlow), null, false));
        self::assertTrue(JudgedCalibration::isUncertain($found(FindingCode::Unsettled), null, false));
        self::assertTrue(JudgedCalibration::isUncertain($found(FindingCode::SlopeHigh), null, false));
        self::assertTrue(JudgedCalibration::isUncertain([], Diagnosis::TiredBuffers, false));
        self::assertTrue(JudgedCalibration::isUncertain([], null, true));
    }

    public function test_buffers_that_leave_a_batch_outside_are_asked_about(): void
    {
        $asked = static fn(float $low, float $high): bool => in_array(
            RunQuestion::OutsideBracket,
            RunQuestion::asked([7.0, 4.0], [[$low, $high]], false, false),
            true,
        );

        self::assertFalse($asked(4.0, 7.0));
        self::assertTrue($asked(3.9, 7.0));
        self::assertTrue($asked(4.0, 7.1));
        self::assertTrue($asked(3.9, 7.1));
        self::assertSame([], RunQuestion::asked([7.0, 4.0], [], false, false));
        self::assertSame(
            'One buffer measures no slope: this is for screening only and proves no limit. '
                . 'This electrode is new and no soak is recorded. Was it hydrated?',
            RunQuestion::sentence(RunQuestion::asked([7.0], [], true, false)),
        );
    }

    public function test_a_shown_value_leans_on_the_two_buffers_beside_it(): void
    {
        $scale = ShownScale::onBuffers([10.0, 4.0, 7.0], 25.0, 0.03);
        $leans = static fn(float $ph): array => $scale->leansOn($scale->tell(Signal::shownPh($ph), 25.0));

        self::assertSame([4.0, 7.0], $leans(3.0));
        self::assertSame([4.0, 7.0], $leans(7.0));
        self::assertSame([7.0, 10.0], $leans(7.1));
        self::assertSame([7.0, 10.0], $leans(11.0));
        self::assertSame([4.0, 10.0], $scale->bracket());
        self::assertEqualsWithDelta(0.03 / sqrt(3), $scale->fitU(), 1e-12);
    }

    public function test_bottles_are_taken_until_the_runs_are_covered(): void
    {
        $lot = static fn(string $id, string $expires, int $left): BufferLot => new BufferLot($id, 'technical-4.01', 4.01, $expires, $left);
        $needed = BottlesNeeded::of([$lot('b', '2027-01-31', 5), $lot('a', '2026-12-31', 2)], 4, '2026-11-30');

        self::assertSame([['a', 2], ['b', 2]], array_map(static fn(array $one): array => [$one['lot']->id, $one['uses']], $needed->taken));
        self::assertSame([0, 3], [$needed->missing, BottlesNeeded::of([$lot('a', '2026-12-31', 2)], 5, '2026-11-30')->missing]);
        self::assertSame([], BottlesNeeded::of([$lot('a', '2026-12-31', 2)], 0, '2026-11-30')->taken);
    }

    public function test_buffers_stand_in_the_order_of_the_school(): void
    {
        $ph = static fn(float $buffer): float => $buffer;

        self::assertSame([6.86, 4.0, 9.18], BufferOrder::NeutralFirst->arrange([9.18, 4.0, 6.86], $ph));
        self::assertSame([4.0, 6.86, 9.18], BufferOrder::LowestFirst->arrange([9.18, 4.0, 6.86], $ph));
        self::assertSame([9.18, 4.0, 6.86], BufferOrder::Free->arrange([9.18, 4.0, 6.86], $ph));
        self::assertSame([], BufferOrder::NeutralFirst->arrange([], $ph));
    }

    public function test_a_check_buffer_lies_in_the_bracket_and_near_the_limit(): void
    {
        $bottles = ['a' => 6.86, 'b' => 4.0, 'c' => 9.18, 'd' => 7.05];

        self::assertSame(['b', 'a', 'd'], ControlBuffer::among($bottles, 4.01, 7.0, [4.6]));
        self::assertSame(['a', 'd', 'b'], ControlBuffer::among($bottles, 4.01, 7.0, [6.5]));
        self::assertSame([], ControlBuffer::among(['c' => 9.18, 'e' => 7.06], 4.01, 7.0, []));
    }

    public function test_a_cleaning_is_judged_by_slope_and_response(): void
    {
        $effect = static fn(?float $a, ?float $b, ?float $x, ?float $y): CleaningEffect => (new CleaningProof($a, $b, $x, $y))->effect;

        self::assertSame(CleaningEffect::Better, $effect(94.0, 97.0, 40.0, 40.0));
        self::assertSame(CleaningEffect::Better, $effect(94.0, 94.0, 60.0, 20.0));
        self::assertSame(CleaningEffect::Worse, $effect(97.0, 94.0, 40.0, 40.0));
        self::assertSame(CleaningEffect::None, $effect(94.0, 94.0, 40.0, 40.0));
        self::assertSame(CleaningEffect::None, $effect(null, 97.0, null, 20.0));
        self::assertSame(CleaningEffect::None, $effect(94.0, 94.0, 0.0, 20.0));
    }

    public function test_a_redox_electrode_of_the_wrong_sign_is_told(): void
    {
        self::assertTrue(CellStandard::hasWrongSign(220.0, -215.0));
        self::assertFalse(CellStandard::hasWrongSign(220.0, 215.0));
        self::assertFalse(CellStandard::hasWrongSign(220.0, -150.0));
        self::assertFalse(CellStandard::hasWrongSign(5.0, -5.0), 'near zero both would fit');
    }

    public function test_a_buffer_is_recognised_only_where_the_next_lies_clearly_further(): void
    {
        $buffers = ['a' => Buffer::named('technical-7.00'), 'b' => Buffer::named('phosphate-6.86')];
        $seen = static fn(float $ph): ?string => BufferRecognition::among($buffers, Nernst::mvPerPh(25.0) * (7 - $ph), 25.0, null)
            ->recognised;

        self::assertNull($seen(6.93));
        self::assertSame('a', BufferRecognition::among(['a' => $buffers['a']], 0.0, 25.0, null)->recognised);
        self::assertNull(BufferRecognition::among(['a' => $buffers['a']], 200.0, 25.0, null)->recognised);
    }

    public function test_a_shown_ph_has_the_potential_of_an_ideal_electrode(): void
    {
        self::assertEqualsWithDelta(3 * Nernst::mvPerPh(25.0), Signal::shownPh(4.0)->idealMv(25.0), 1e-9);
        self::assertEqualsWithDelta(-3 * Nernst::mvPerPh(25.0), Signal::shownPh(10.0)->idealMv(25.0), 1e-9);
        self::assertSame(12.5, Signal::mv(12.5)->idealMv(25.0));
    }

    public function test_a_jump_since_the_run_before_is_told_of_each_way(): void
    {
        $fit = static fn(float $percent, float $offset): CalibrationFit => CalibrationFit::through([
            new CalibrationPoint(7.0, $offset, 25.0, 40),
            new CalibrationPoint(4.0, $offset + 1.7748 * $percent, 25.0, 40),
        ]);
        $codes = static fn(CalibrationFit $new, ?CalibrationFit $before, bool $wasCleaned = false): array => array_map(
            static fn(Finding $finding): string => $finding->code->value . ' ' . round((float) $finding->seen, 2),
            RunDoubts::changes($new, $before, $wasCleaned),
        );

        self::assertSame([], $codes($fit(97.0, 0.0), $fit(98.0, 0.0)));
        self::assertSame([], $codes($fit(90.0, 0.0), null));
        self::assertSame([], $codes($fit(90.0, 0.0), $fit(98.0, 0.0), true));
        // Of 98 % the buffer of 4.00 read by 90 % is 0.24 pH off; of 90 % read by 98 % it is 0.27 off.
        self::assertSame(['SLOPE_JUMPED -8', 'AS_FOUND_JUMPED 0.24'], $codes($fit(90.0, 0.0), $fit(98.0, 0.0)));
        self::assertSame(['SLOPE_JUMPED 8', 'AS_FOUND_JUMPED 0.27'], $codes($fit(98.0, 0.0), $fit(90.0, 0.0)));
        self::assertSame(['AS_FOUND_JUMPED 0.17'], $codes($fit(98.0, 10.0), $fit(98.0, 0.0)));
    }

    public function test_a_bottle_is_of_the_family_of_its_table(): void
    {
        self::assertSame(
            [BufferFamily::Technical, BufferFamily::Standard, BufferFamily::Any, BufferFamily::Any],
            array_map(BufferFamily::of(...), ['technical-7.00', 'phosphate-6.86', 'printed', null]),
        );
    }

    public function test_a_bottle_with_a_printed_table_is_a_buffer_of_no_family(): void
    {
        self::assertTrue(BufferFamily::Any->holds('printed'));
        self::assertTrue(BufferFamily::Any->holds('technical-7.00'));
        self::assertTrue(BufferFamily::Technical->holds('technical-7.00'));
        self::assertFalse(BufferFamily::Technical->holds('phosphate-6.86'));
        self::assertFalse(BufferFamily::Standard->holds('technical-7.00'));
        self::assertSame([0.01, 0.02], [BufferFamily::Standard->usualExpandedU(), BufferFamily::of('technical-7.00')->usualExpandedU()]);
    }

    public function test_a_thermometer_is_good_for_work_while_its_check_holds(): void
    {
        self::assertSame(
            [ThermometerState::Ready, ThermometerState::WithCare],
            array_values(array_filter(ThermometerState::cases(), static fn(ThermometerState $one): bool => $one->isInForce())),
        );
    }

    public function test_an_electrode_to_be_replaced_is_to_be_replaced_whatever_care_it_had(): void
    {
        $next = static fn(Diagnosis $diagnosis, CareKind ...$done): ?CareStep => FollowUp::next(
            FollowUp::of($diagnosis, ElectrodeKind::SealedGel),
            array_values($done),
        );

        self::assertSame(CareStep::Replace, $next(Diagnosis::Aged, ...CareKind::cases()));
        self::assertSame(CareStep::Clean, $next(Diagnosis::Coated));
        self::assertSame(CareStep::SoakHour, $next(Diagnosis::Coated, CareKind::Cleaned));
        self::assertNull($next(Diagnosis::Coated, CareKind::Cleaned, CareKind::Soak));
    }

    public function test_a_soak_after_a_dry_spell_is_a_day(): void
    {
        self::assertSame([1440, 120, 60, 15], array_map(static fn(SoakSchool $one): int => $one->minutes(), SoakSchool::cases()));
    }

    public function test_a_buffer_that_its_table_does_not_cover_is_no_twin(): void
    {
        $run = CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 50.0, 40), new CalibrationPoint(4.0, 192.4, 50.0, 40)]);
        $cold = Buffer::printed([[20.0, 6.88], [30.0, 6.85]]);

        self::assertNull(NearTwin::among(Buffer::named('technical-7.00'), ['cold' => $cold], 9.0, 50.0, [$run, $run]));
    }

    public function test_a_buffer_that_hardly_differs_is_no_twin(): void
    {
        $run = CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25.0, 40), new CalibrationPoint(4.0, 177.48, 25.0, 40)]);
        $twin = static fn(float $ph): ?string => NearTwin::among(
            Buffer::printed([[20.0, 7.0], [30.0, 7.0]]),
            ['other' => Buffer::printed([[20.0, $ph], [30.0, $ph]])],
            Nernst::mvPerPh(25.0) * (7 - $ph),
            25.0,
            [$run, $run],
        );

        self::assertSame([null, 'other', 'other', null], [$twin(6.95), $twin(6.85), $twin(6.15), $twin(6.05)]);
    }

    public function test_buffers_that_give_one_potential_at_their_temperatures_are_refused(): void
    {
        // (7 − 4.0) · 278.15 K = (7 − 4.5) · 333.78 K
        $this->expectException(TemperaturesCancel::class);
        CalibrationFit::through([new CalibrationPoint(4.0, 165.0, 5.0, 40), new CalibrationPoint(4.5, 165.0, 60.63, 40)]);
    }

    public function test_a_kept_signal_is_a_potential_or_a_shown_ph(): void
    {
        self::assertEquals([Signal::mv(177.4), Signal::shownPh(4.02)], [Signal::kept(177.4, null), Signal::kept(null, 4.02)]);
    }

    public function test_a_slope_is_compared_with_the_segment_of_before_in_which_its_middle_lies(): void
    {
        $at = self::seen(...);
        $before = CalibrationFit::through([$at(7.0, 100.0), $at(4.0, 100.0), $at(10.0, 90.0)]);
        $codes = static fn(CalibrationFit $new): array => array_column(RunDoubts::changes($new, $before, false), 'code');

        self::assertSame([], $codes(CalibrationFit::through([$at(7.0, 100.0), $at(4.0, 100.0)])));
        self::assertSame([], $codes(CalibrationFit::through([$at(7.0, 90.0), $at(10.0, 90.0)])));
        self::assertContains(FindingCode::SlopeJumped, $codes(CalibrationFit::through([$at(7.0, 100.0), $at(10.0, 100.0)])));
    }

    public function test_a_restless_electrode_with_a_fill_hole_has_it_opened(): void
    {
        $first = static fn(ElectrodeKind $kind): string => DiagnosisWords::first(Diagnosis::Restless, $kind);

        self::assertStringStartsWith('Hydrate it in 3 M KCl, open the fill hole, blot', $first(ElectrodeKind::Refillable));
        self::assertStringStartsWith('Hydrate it in 3 M KCl, blot', $first(ElectrodeKind::SealedGel));
    }

    public function test_between_two_segments_that_do_not_meet_the_acid_one_answers(): void
    {
        // The middle cup was cold: at 45 °C the acid segment answers above pH 4, the other below.
        $fit = CalibrationFit::through([
            new CalibrationPoint(2.0, 260.0, 25.0, 40),
            new CalibrationPoint(4.0, 124.0, 5.0, 40),
            new CalibrationPoint(7.0, -30.0, 25.0, 40),
        ]);
        [$acid, $other] = $fit->segments;

        self::assertGreaterThan(4.0, $acid->ph(147.0, 45.0));
        self::assertLessThan(4.0, $other->ph(147.0, 45.0));
        self::assertSame($acid->ph(147.0, 45.0), $fit->read(147.0, 45.0)->ph);
        self::assertSame([2.0, 7.0], [$fit->endToEnd()->fromPh, $fit->endToEnd()->toPh]);
    }

    public function test_a_calibration_has_an_alkaline_slope_where_that_side_has_a_line_of_its_own(): void
    {
        $at = self::seen(...);
        $decided = static fn(CalibrationPoint ...$points): DecidedCalibration => DecidedCalibration::byFit(
            CalibrationFit::through(array_values($points)),
            [],
            Criteria::process(),
            0.05,
            false,
            new ElectrodePast(),
            [],
        );

        $three = $decided($at(4.0, 98.0), $at(7.0, 98.0), $at(10.0, 95.0));
        self::assertEqualsWithDelta([95.0, 95.0], [$three->slopePercent, $three->alkalineSlopePercent], 1e-6);
        self::assertNull($decided($at(7.0, 98.0), $at(10.0, 95.0))->alkalineSlopePercent);
        self::assertNull($decided($at(2.0, 98.0), $at(4.0, 98.0), $at(6.0, 98.0))->alkalineSlopePercent);
    }

    public function test_a_meters_own_calibration_is_bracketed_by_its_buffers(): void
    {
        $decided = DecidedCalibration::byMeter(
            [new CalibrationPoint(7.0, 0.0, 21.0), new CalibrationPoint(4.0, 0.0, 21.0)],
            [0.02],
            97.5,
            -4.0,
            Criteria::process(),
            0.05,
            [],
        );

        self::assertSame([4.0, 7.0], [$decided->bracketLowPh, $decided->bracketHighPh]);
        self::assertSame([97.5, -4.0, 0.02], [$decided->slopePercent, $decided->offsetMv, $decided->readBackErrorPh]);
    }

    public function test_an_offset_that_a_whole_run_shares_makes_no_twin(): void
    {
        $run = CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25.0, 40), new CalibrationPoint(4.0, 177.48, 25.0, 40)]);
        $taken = Buffer::printed([[20.0, 7.0], [30.0, 7.0]]);
        // Both cups of this run read 10 mV higher than on the runs before: 0.17 pH, as a neighbour at 6.83 would.
        $twin = static fn(?CalibrationPoint $before): ?string => NearTwin::among(
            $taken,
            ['neighbour' => Buffer::printed([[20.0, 6.83], [30.0, 6.83]])],
            10.0,
            25.0,
            [$run, $run],
            $before,
        );

        self::assertSame('neighbour', $twin(null));
        self::assertNull($twin(new CalibrationPoint(4.0, 187.48, 25.0, 40)));
    }

    public function test_a_bracket_spans_all_that_is_expected(): void
    {
        $asked = static fn(float $low): array => RunQuestion::asked([7.0, 4.0], [[$low, 4.5], [5.0, 6.0]], false, false);

        self::assertSame([], $asked(4.0));
        self::assertSame([RunQuestion::OutsideBracket], $asked(3.9));
    }

    public function test_a_stretch_too_short_for_a_slope_is_not_compared(): void
    {
        $at = self::seen(...);
        $before = CalibrationFit::through([$at(7.0, 98.0), $at(4.0, 98.0)]);
        // Between 6.4 and 7.0 a small error of a buffer is a large one of the slope.
        $new = CalibrationFit::through([$at(4.0, 98.0), $at(6.4, 90.0), $at(7.0, 98.0)]);

        self::assertSame([], array_column(RunDoubts::changes($new, $before, false), 'code'));
    }

    public function test_what_a_compensation_adds_is_taken_away_again(): void
    {
        $shown = 4.0 + Nernst::compensationError(4.0, 5.0, 25.0);

        self::assertEqualsWithDelta(4.0, Nernst::compensated($shown, 5.0, 25.0), 1e-12);
    }

    public function test_what_is_not_known_before_or_after_a_cleaning_proves_no_effect(): void
    {
        $effect = static fn(?float ...$of): CleaningEffect => (new CleaningProof(...$of))->effect;

        self::assertSame(CleaningEffect::None, $effect(null, 98.0, null, 20.0));
        self::assertSame(CleaningEffect::None, $effect(95.0, null, 60.0, null));
        self::assertSame(CleaningEffect::Better, $effect(95.0, 98.0, null, null));
        self::assertSame(CleaningEffect::Better, $effect(null, null, 60.0, 20.0));
    }

    public function test_what_takes_an_electrode_out_of_use_and_which_buffers_a_family_holds(): void
    {
        self::assertTrue(CareKind::Broken->takesOutOfUse());
        self::assertFalse(CareKind::Cleaned->takesOutOfUse());
        self::assertTrue(BufferFamily::Any->holds('technical-7.00'));
        self::assertTrue(BufferFamily::of('technical-7.00')->holds('technical-4.01'));
        self::assertFalse(BufferFamily::Standard->holds('technical-7.00'));
        self::assertSame([0.01, 0.02], [BufferFamily::Standard->usualExpandedU(), BufferFamily::of('technical-7.00')->usualExpandedU()]);
    }

    public function test_buffers_too_near_for_a_good_slope_say_how_near(): void
    {
        self::assertSame('The buffers are less than 2.8 pH apart, so the slope will be uncertain.', RunQuestion::ShortSpan->words());
    }

    public function test_a_deviation_of_exactly_three_is_a_warning(): void
    {
        $signals = ControlChart::of([3.0, 2.0], 3.0)->signals;

        self::assertSame([ChartSignal::Warn, null], $signals);
    }

    /** A buffer in the cup at 25 °C, as an electrode without offset shows it. */
    private static function seen(float $ph, float $percent): CalibrationPoint
    {
        return new CalibrationPoint($ph, ($percent / 100) * Nernst::mvPerPh(25.0) * (7 - $ph), 25.0, 40);
    }
}
