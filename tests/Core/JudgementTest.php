<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode as Code;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Words\FindingWords;

final class JudgementTest extends TestCase
{
    /** @return iterable<string, array{float, Verdict, list<Code>}> slope in percent under the process policy, 90–102 % */
    public static function slopes(): iterable
    {
        yield '88: too low' => [88.0, Verdict::Fail, [Code::SlopeLow]];
        yield '90: usable with care' => [90.0, Verdict::Caution, [Code::SlopeNearLow]];
        yield '91: usable with care' => [91.0, Verdict::Caution, [Code::SlopeNearLow]];
        yield '92: the edge of care' => [92.0, Verdict::Caution, [Code::SlopeNearLow]];
        yield '92.1: good' => [92.1, Verdict::Pass, []];
        yield '102: good' => [102.0, Verdict::Pass, []];
        yield '102.1: measurement noise, with care' => [102.1, Verdict::Caution, [Code::SlopeHigh]];
        yield '105: with care' => [105.0, Verdict::Caution, [Code::SlopeHigh]];
        yield '105.1: something is wrong with a buffer' => [105.1, Verdict::Fail, [Code::SlopeHigh]];
        yield '9.9: dead' => [9.9, Verdict::Fail, [Code::NoResponse]];
        yield '10: low, not dead' => [10.0, Verdict::Fail, [Code::SlopeLow]];
        yield '-10: reversed' => [-10.0, Verdict::Fail, [Code::SlopeReversed]];
    }

    /** @param list<Code> $expected */
    #[DataProvider('slopes')]
    public function test_the_slope_is_judged(float $percent, Verdict $verdict, array $expected): void
    {
        $judgement = self::judged([self::seen(7, $percent), self::seen(4, $percent)], checks: [self::seen(7, $percent)]);

        self::assertSame($verdict, $judgement->verdict);
        self::assertSame($expected, self::codes($judgement));
    }

    /** The two read-backs of the bench that everybody must agree on. Common practice, no source. */
    public function test_at_25_degrees_a_read_back_of_9_25_in_9_18_fails_and_6_83_in_6_86_passes(): void
    {
        $points = [self::seen(Buffer::named('phosphate-6.86')->phAt(25), 98), self::seen(Buffer::named('borax-9.18')->phAt(25), 98)];
        $reading = static fn(string $buffer, float $shown): CalibrationPoint => new CalibrationPoint(
            Buffer::named($buffer)->phAt(25),
            self::seen($shown, 98)->mv,
            25,
        );

        $bad = self::judged($points, checks: [$reading('borax-9.18', 9.25)]);
        $good = self::judged($points, checks: [$reading('phosphate-6.86', 6.83)]);

        self::assertNotNull($bad->found(Code::CheckFailed));
        self::assertSame(Verdict::Fail, $bad->verdict);
        self::assertEqualsWithDelta(0.07, $bad->checkErrors[0], 1e-9);
        self::assertNull($good->found(Code::CheckFailed));
    }

    public function test_a_read_back_exactly_on_the_limit_is_within_it(): void
    {
        $points = [self::seen(7, 98), self::seen(4, 98)];

        self::assertNull(
            self::judged($points, checks: [new CalibrationPoint(7.0, self::seen(7.05, 98)->mv, 25)])->found(Code::CheckFailed),
        );
        self::assertNotNull(
            self::judged($points, checks: [new CalibrationPoint(7.0, self::seen(7.0501, 98)->mv, 25)])->found(Code::CheckFailed),
        );
    }

    public function test_without_a_read_back_there_is_a_note_and_the_verdict_stays(): void
    {
        $judgement = self::judged([self::seen(7, 98), self::seen(4, 98)]);

        self::assertSame([Code::NoCheck], self::codes($judgement));
        self::assertSame(Verdict::Pass, $judgement->verdict);
    }

    public function test_a_zero_point_half_a_ph_from_7_fails_because_less_is_needed(): void
    {
        $offset = 0.5 * 0.98 * Nernst::mvPerPh(25);

        self::assertNotNull(self::judged([self::seen(7, 98, $offset), self::seen(4, 98, $offset)])->found(Code::ZeroPointOff));
        self::assertNull(self::judged([self::seen(7, 98, $offset - 0.1), self::seen(4, 98, $offset - 0.1)])->found(Code::ZeroPointOff));
    }

    public function test_the_laboratory_allows_an_offset_of_15_mv(): void
    {
        self::assertNull(self::judged([self::seen(7, 98, -15), self::seen(4, 98, -15)], Criteria::laboratory())->found(Code::OffsetOff));
        self::assertNotNull(
            self::judged([self::seen(7, 98, -15.1), self::seen(4, 98, -15.1)], Criteria::laboratory())->found(Code::OffsetOff),
        );
    }

    /** @return iterable<string, array{float, Severity|null}> */
    public static function responses(): iterable
    {
        yield '60 s is in time' => [60.0, null];
        yield '61 s is slow' => [61.0, Severity::Caution];
        yield '120 s is still only slow' => [120.0, Severity::Caution];
        yield '121 s fails' => [121.0, Severity::Fail];
    }

    #[DataProvider('responses')]
    public function test_the_slowest_point_decides_the_response(float $seconds, ?Severity $severity): void
    {
        $judgement = self::judged([self::seen(7, 98, response: 20), self::seen(4, 98, response: $seconds)]);

        self::assertSame($severity, $judgement->found(Code::ResponseSlow)?->severity);
    }

    public function test_one_point_is_for_screening_only(): void
    {
        self::assertSame([Code::OnePoint, Code::NoCheck], self::codes(self::judged([self::seen(7, 100)])));
    }

    public function test_two_buffers_nearer_than_2_8_ph_are_marked(): void
    {
        self::assertEqualsWithDelta(2.79, self::judged([self::seen(4.21, 98), self::seen(7, 98)])->found(Code::SpanShort)?->seen, 1e-9);
        self::assertNull(self::judged([self::seen(4.2, 98), self::seen(7, 98)])->found(Code::SpanShort));
    }

    public function test_a_short_segment_is_judged_from_end_to_end(): void
    {
        // 6.86 read 2 mV off gives its short segment 108 %, but the whole line is sound.
        $points = [self::seen(5.5, 98), new CalibrationPoint(6.86, self::seen(6.86, 98)->mv - 8, 25), self::seen(9.18, 98)];

        $judgement = self::judged($points);

        self::assertNotNull($judgement->found(Code::SegmentShort));
        self::assertNotSame(Severity::Fail, $judgement->found(Code::SlopeHigh)?->severity);
    }

    public function test_least_squares_never_calls_a_segment_short(): void
    {
        $fit = CalibrationFit::through([self::seen(5.5, 98), self::seen(6.86, 98), self::seen(9.18, 98)], FitMethod::LeastSquares);

        self::assertNull(JudgedCalibration::of($fit, Criteria::process())->found(Code::SegmentShort));
    }

    public function test_buffers_more_than_3_degrees_apart_are_marked(): void
    {
        self::assertNull(self::judged([self::seen(7, 98, celsius: 20), self::seen(4, 98, celsius: 23)])->found(Code::TemperatureSpread));
        self::assertNotNull(
            self::judged([self::seen(7, 98, celsius: 20), self::seen(4, 98, celsius: 23.1)])->found(Code::TemperatureSpread),
        );
    }

    public function test_an_electrode_without_any_slope_is_reported_as_having_none(): void
    {
        $judgement = self::judged(
            [new CalibrationPoint(4, 3, 25), new CalibrationPoint(7, 3, 25)],
            checks: [new CalibrationPoint(7, 3, 25)],
        );

        self::assertSame([Code::NoResponse, Code::ZeroPointOff], self::codes($judgement));
        self::assertSame([null], $judgement->checkErrors);
    }

    public function test_every_finding_that_fails_says_what_to_do_first(): void
    {
        foreach (Code::cases() as $code) {
            $finding = new Finding($code, Severity::Fail, 88.0, 90.0);

            self::assertMatchesRegularExpression('/^[A-Z0-9].*[.?]$/', FindingWords::sentence($finding));
            if (!in_array($code, [Code::SegmentShort, Code::NoCheck], true)) {
                self::assertNotNull(FindingWords::advice($finding, ElectrodeKind::Refillable), $code->value);
            }
        }
        self::assertStringContainsString(
            'fresh buffers first',
            (string) FindingWords::advice(new Finding(Code::SlopeLow, Severity::Fail, 88.0, 90.0), ElectrodeKind::Refillable),
        );
    }

    /**
     * @param list<CalibrationPoint> $points
     * @param list<CalibrationPoint> $checks
     */
    private static function judged(array $points, ?Criteria $criteria = null, array $checks = []): JudgedCalibration
    {
        return JudgedCalibration::of(CalibrationFit::through($points), $criteria ?? Criteria::process(), $checks);
    }

    private static function seen(
        float $ph,
        float $percent,
        float $offset = 0.0,
        float $celsius = 25,
        ?float $response = null,
    ): CalibrationPoint {
        return CalibrationFitTest::seen($ph, $percent / 100, $offset, $celsius, $response);
    }

    /** @return list<Code> */
    private static function codes(JudgedCalibration $judgement): array
    {
        return array_column($judgement->findings, 'code');
    }

    public function test_a_choice_of_buffers_is_asked_about_and_the_answer_changes_no_verdict(): void
    {
        self::assertSame([], RunQuestion::asked([7.0, 4.01], [[4.2, 4.6], [5.0, 6.8]], false, false));
        self::assertSame([RunQuestion::OutsideBracket], RunQuestion::asked([7.0, 4.01], [[3.9, 4.6]], false, false));
        self::assertSame([RunQuestion::OutsideBracket], RunQuestion::asked([7.0, 4.01], [[4.2, 7.1]], false, false));
        self::assertSame([], RunQuestion::asked([7.0, 4.2], [[4.2, 7.0]], false, false), '2.8 apart is far enough');
        self::assertSame([RunQuestion::ShortSpan], RunQuestion::asked([7.0, 4.21], [], false, false));
        self::assertSame([RunQuestion::OneBuffer], RunQuestion::asked([7.0], [], false, false));
        self::assertSame(
            [RunQuestion::OneUseMore, RunQuestion::KeptCold],
            RunQuestion::asked([7.0, 4.01], [], false, false, isAnyKeptCold: true, isAnyUsedUp: true),
        );
        self::assertSame([true, false], [RunQuestion::OneUseMore->needsReason(), RunQuestion::KeptCold->needsReason()]);
        self::assertSame([RunQuestion::NeverSoaked, RunQuestion::ReadBackIsFitted], RunQuestion::asked([7.0, 4.01], [], true, true));
        self::assertFalse(RunQuestion::asksTemperature(23.0, [21.0, 22.0]));
        self::assertTrue(RunQuestion::asksTemperature(23.1, [21.0, 22.0]));
        self::assertFalse(RunQuestion::asksTemperature(30.0, []), 'the first one has none before it');
    }
}
