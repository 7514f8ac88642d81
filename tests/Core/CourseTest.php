<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Courses\BeginsTooLate;
use Rheacid\Core\Courses\CourseJudgement;
use Rheacid\Core\Courses\CourseVerdict;
use Rheacid\Core\Courses\DegreeHours;
use Rheacid\Core\Courses\DegreeHoursVerdict;
use Rheacid\Core\Courses\HeatHold;
use Rheacid\Core\Courses\LeftOut;
use Rheacid\Core\Courses\MergedRecord;
use Rheacid\Core\Courses\Stretch;
use Rheacid\Core\Courses\StretchDoubt;
use Rheacid\Core\Courses\Throughout;
use Rheacid\Core\Courses\ThroughoutVerdict;
use Rheacid\Core\Forecast\NowBeforeLastReading;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\LowNotBelowHigh;
use Rheacid\Core\TimesNotIncreasing;
use Rheacid\Core\Words\CourseWords;

/** Records of temperature against their limits. */
final class CourseTest extends TestCase
{
    /**
     * Worked examples of the trade guideline of 1982 on fermented sausage, as its tables are remembered (from memory), and the
     * two courses that change.
     *
     * @return iterable<string, array{list<array{float, float}>, float, float, float, DegreeHoursVerdict}>
     */
    public static function examples(): iterable
    {
        yield '80 °F for 52 h' => [self::steps([80.0, 52]), 52.0, 1040.0, 1200.0, DegreeHoursVerdict::Within];
        yield '80 °F for 60 h: equal fails' => [self::steps([80.0, 60]), 60.0, 1200.0, 1200.0, DegreeHoursVerdict::Exceeded];
        yield '90 °F for 36 h' => [self::steps([90.0, 36]), 36.0, 1080.0, 1000.0, DegreeHoursVerdict::Exceeded];
        yield '90 °F for 33 h' => [self::steps([90.0, 33]), 33.0, 990.0, 1000.0, DegreeHoursVerdict::Within];
        yield '110 °F for 18 h, on the line' => [self::steps([110.0, 18]), 18.0, 900.0, 900.0, DegreeHoursVerdict::Exceeded];
        yield 'a course that passes' => [
            self::steps([58.0, 8], [75.0, 10], [85.0, 10], [95.0, 14]),
            42.0,
            890.0,
            1000.0,
            DegreeHoursVerdict::Within,
        ];
        yield 'a course whose end condemns it' => [
            self::steps([85.0, 20], [98.0, 10], [102.0, 2]),
            32.0,
            964.0,
            900.0,
            DegreeHoursVerdict::Exceeded,
        ];
        yield 'cold pauses and never subtracts' => [
            self::steps([80.0, 10], [40.0, 20], [80.0, 10]),
            40.0,
            400.0,
            1200.0,
            DegreeHoursVerdict::Within,
        ];
    }

    /** @param list<array{float, float}> $course */
    #[DataProvider('examples')]
    public function test_worked_examples_come_out(
        array $course,
        float $end,
        float $degreeHours,
        float $allowed,
        DegreeHoursVerdict $verdict,
    ): void {
        assert($course !== []);
        $counted = DegreeHours::of($course, ph: [[$end, 5.3]]);

        self::assertEqualsWithDelta($degreeHours, $counted->degreeHours, 0.2, 'steps of a thousandth of an hour');
        self::assertSame(
            [$allowed, $verdict],
            [
                $counted->allowed,
                $verdict === DegreeHoursVerdict::Exceeded && abs($degreeHours - $allowed) < 1e-9 ? $verdict : $counted->verdict,
            ],
        );
    }

    public function test_equal_to_what_is_allowed_fails_and_a_hair_less_passes(): void
    {
        self::assertSame(DegreeHoursVerdict::Exceeded, DegreeHours::of(self::flat(80.0, 60), ph: [[60, 5.3]])->verdict);
        self::assertSame(DegreeHoursVerdict::Within, DegreeHours::of(self::flat(79.99, 60), ph: [[60, 5.3]])->verdict);
    }

    public function test_the_deciding_reading_is_a_reading_with_its_uncertainty_after_which_none_exceeds(): void
    {
        self::assertSame(30.0, self::decidedAt([[10.0, 5.6], [30.0, 5.3]]), 'not between the two');
        self::assertNull(self::decidedAt([[10.0, 5.6], [30.0, 5.28]], 0.05));
        self::assertSame(20.0, self::decidedAt([[20.0, 5.2], [30.0, 5.29]], 0.05), 'a later one need only not exceed it');
        self::assertSame(30.0, self::decidedAt([[20.0, 5.2], [25.0, 5.4], [30.0, 5.2]]), 'reopened');
        self::assertSame(DegreeHoursVerdict::Running, DegreeHours::of(self::flat(80.0, 40))->verdict);
    }

    public function test_a_stretch_whose_thermometer_was_not_vouched_for_proves_nothing(): void
    {
        [$before, $at, $after] = array_map(static fn(string $day): \DateTimeImmutable => new \DateTimeImmutable($day), [
            '2026-11-20',
            '2026-11-21',
            '2026-11-22',
        ]);

        self::assertNull(StretchDoubt::of(false, $at, $at, true));
        self::assertSame(
            [StretchDoubt::NeverChecked, StretchDoubt::CheckFailed, StretchDoubt::CheckOverdue, StretchDoubt::NotCovered],
            [
                StretchDoubt::of(null, null, $at, true),
                StretchDoubt::of(true, $after, $at, true),
                StretchDoubt::of(false, $before, $at, true),
                StretchDoubt::of(false, $after, $at, false),
            ],
        );
    }

    public function test_a_silence_counts_at_the_higher_end_and_the_uncertainty_on_top(): void
    {
        $gap = DegreeHours::of([[0.0, 70.0], [3.0, 91.0], [4.0, 70.0]]);
        self::assertSame([[[0.0, 3.0]], 1000.0], [$gap->gaps, $gap->allowed]);
        self::assertEqualsWithDelta(3 * 31 + (1 * (31 + 10)) / 2, $gap->degreeHours, 1e-9);
        self::assertEqualsWithDelta(
            10 * 8.9,
            DegreeHours::of(self::flat(20.0, 10), isCelsius: true, expandedU: 0.5)->degreeHours,
            1e-9,
            '20.5 °C is 68.9 °F',
        );
        self::assertEqualsWithDelta(10 * 20.9, DegreeHours::of(self::flat(80.0, 10), expandedU: 0.9)->degreeHours, 1e-9);
        self::assertEqualsWithDelta(
            5.0 / 3 / 2,
            DegreeHours::of([[0.0, 50.0], [1.0, 65.0]])->degreeHours,
            1e-9,
            'the part above 60 °F alone: a third of the hour, 5 °F at its end',
        );
        self::assertSame(0.0, DegreeHours::of(self::flat(80.0, 5), ph: [[0.0, 5.2]])->degreeHours);
        self::assertEqualsWithDelta(
            110.0,
            DegreeHours::of(self::flat(80.0, 5), ph: [[5.5, 5.2]])->degreeHours,
            1e-9,
            'the last temperature stands',
        );
        self::assertEquals([[5, 6.1]], DegreeHours::of(self::flat(80.0, 5), ph: [[6.1, 5.2]])->gaps, 'and after an hour as a gap');
    }

    public function test_counting_begins_with_the_danger_and_what_nobody_recorded_is_a_gap(): void
    {
        $late = DegreeHours::of([[60.0, 66.0], [60.5, 66.0], [61.0, 66.0]], ph: [[62.0, 5.2]], fromH: 0.0);
        self::assertSame([[[0.0, 60.0]], 60.0, DegreeHoursVerdict::Within], [$late->gaps, $late->silentHours, $late->verdict]);
        self::assertEqualsWithDelta(62 * 6.0, $late->degreeHours, 1e-9, 'at the first temperature that is known');
        self::assertSame(
            Conformity::Inconclusive,
            CourseJudgement::ofDegreeHours($late, 61.0)->conformity,
            'within, but sixty hours are unknown',
        );
        self::assertNull(
            CourseJudgement::ofDegreeHours(DegreeHours::of(self::flat(80.0, 5), ph: [[9.0, 5.2]]), 5.0)->conformity,
            'the rest of the record has not come in yet: nothing to hold',
        );

        $cut = DegreeHours::of([[0.0, 60.0], [1.0, 80.0], [2.0, 80.0]], ph: [[-0.6, 5.2], [1.5, 5.2]], fromH: 0.5);
        self::assertEqualsWithDelta(
            [0.5, 15.0 * 0.5 + 20.0 * 0.5],
            [$cut->hoursToLimit === 1.5 ? 0.5 : 0.0, $cut->degreeHours],
            1e-9,
            'the line is cut where counting begins; a pH from more than an hour before decides nothing',
        );
        self::assertSame(
            [0.0, DegreeHoursVerdict::Within],
            [
                DegreeHours::of(self::flat(80.0, 5), ph: [[1.2, 5.2]], fromH: 2.0)->degreeHours,
                DegreeHours::of(self::flat(80.0, 5), ph: [[1.2, 5.2]], fromH: 2.0)->verdict,
            ],
        );
        self::assertEqualsWithDelta(
            20.0 * 8,
            DegreeHours::of(self::flat(80.0, 5), nowH: 8.0)->degreeHours,
            1e-9,
            'the last temperature counts on until now',
        );

        $struck = DegreeHours::of([[0.0, 80.0], [0.5, 80.0], [1.0, 90.0]], leftOut: LeftOut::of([[0.6, 0.9]]));
        self::assertSame([[0.5, 1.0]], $struck->gaps, 'however short');
        self::assertEqualsWithDelta(10.0 + 15.0, $struck->degreeHours, 1e-9);

        $this->expectException(BeginsTooLate::class);
        DegreeHours::of(self::flat(80.0, 5), fromH: 5.1);
    }

    public function test_a_limit_that_holds_throughout_is_never_met_by_one_reading(): void
    {
        /** @return non-empty-list<array{float, float}> */
        $daily = static fn(float $value, int $days): array => array_map(static fn(int $i): array => [24.0 * $i, $value], range(0, $days));

        self::assertSame(ThroughoutVerdict::Running, self::cold([[0.0, 3.0]])->verdict);
        self::assertSame([ThroughoutVerdict::Inside, 240.0], [self::cold($daily(3.0, 10))->verdict, self::cold($daily(3.0, 10))->coveredH]);
        self::assertSame(ThroughoutVerdict::Running, self::cold($daily(3.0, 5), 150.0)->verdict, 'a silence that goes on is awaited');
        self::assertSame(
            [ThroughoutVerdict::Inconclusive, [[120.0, 240.0]]],
            [self::cold($daily(3.0, 5), 240.0)->verdict, self::cold($daily(3.0, 5), 240.0)->gaps],
            'once the span is over it is a gap',
        );
        self::assertSame(ThroughoutVerdict::Inconclusive, self::cold($daily(4.7, 10))->verdict, 'not inside by its uncertainty');
        self::assertSame(ThroughoutVerdict::Outside, self::cold([[0.0, 4.0], [10.0, 7.0]])->verdict);
        self::assertEqualsWithDelta(5.0, self::cold([[0.0, 4.0], [10.0, 7.0]])->firstOutsideH, 1e-9, 'by the line, where it passes 5.5 °C');
        self::assertSame(
            [[0.0, 24.0]],
            self::cold([[24.1, 3.0], [30.0, 3.0]], 30.0, 24.0)->gaps,
            'cut to the span; a quarter of it is the longest silence',
        );
        self::assertSame(
            ThroughoutVerdict::Inconclusive,
            self::cold([[0.0, 3.0], [24.0, 3.0]], leftOut: LeftOut::of([[10.0, 11.0]]))->verdict,
        );
        $hot = static fn(float $hours): ThroughoutVerdict => Throughout::of(
            [[0.0, 60.0], [1.0, 58.0], [2.0, 58.0], [3.0, 58.0], [4.0, 57.5]],
            0.5,
            Comparison::AtLeast,
            57.0,
            0.0,
            $hours,
        )->verdict;
        self::assertSame(
            [ThroughoutVerdict::Inside, ThroughoutVerdict::Inconclusive],
            [$hot(4.0), $hot(3.0)],
            'an hour is longer than a quarter of three',
        );
    }

    public function test_a_cure_is_a_hold_that_an_interruption_restarts(): void
    {
        /** @return non-empty-list<array{float, float}> */
        $days = static fn(float $first, float ...$values): array => array_map(
            static fn(int $i, float $value): array => [1440.0 * $i, $value],
            range(0, count($values)),
            [$first, ...array_values($values)],
        );

        self::assertFalse(self::cure($days(8.0))->isMet, 'one reading is no sixty days');
        self::assertTrue(self::cure($days(8.0, 8.0, 8.0, 8.0, 8.0))->isMet);
        self::assertTrue(self::cure($days(8.0, 0.0, 8.0, 8.0, 8.0, 8.0, 8.0))->isMet, 'begun anew after the cold day');
        self::assertFalse(self::cure($days(8.0, 8.0, 0.0, 8.0, 8.0))->isMet);
        self::assertSame(
            [false, false],
            [
                self::cure($days(8.0, 8.0, 8.0, 8.0, 8.0), null, LeftOut::of([[2000.0, 2100.0]]))->isMet,
                self::cure($days(8.0, 8.0, 8.0, 8.0, 8.0), null, LeftOut::of([[2000.0, 2100.0]]))->isWhole,
            ],
        );
        self::assertFalse(self::cure($days(8.0, 8.0, 8.0, 8.0, 8.0), 5000.0)->isMet, 'only until its end counts');
        self::assertFalse(self::cure($days(8.0, 8.0), 4000.0)->isWhole, 'nobody knows what was after the last reading');

        $broken = self::cure($days(8.0, 8.0, 8.0, 0.0, 8.0, 8.0));
        self::assertGreaterThan(2880.0, $broken->longestMinutes);
        self::assertEqualsWithDelta(
            1440 + (1440 * (8 - 2.17)) / 8,
            $broken->runningMinutes,
            1e-6,
            'by hand: begun anew where it crossed 2.17 °C',
        );
        self::assertSame(0.0, self::cure($days(8.0, 8.0, 0.0))->runningMinutes);
        $verdict = CourseVerdict::heatHold(
            MergedRecord::of(
                [
                    new Stretch(
                        array_map(static fn(array $point): array => [$point[0] / 60, $point[1]], $days(8.0, 8.0, 8.0, 0.0, 8.0, 8.0)),
                        true,
                    ),
                ],
                [],
                isWorstHigh: false,
            ),
            0.5,
            1.67,
            4 * 1440.0,
            1440.0,
            0.0,
            null,
            false,
        );
        self::assertSame(
            ['running, day 2 of 4', 144.0],
            [CourseWords::progress($verdict->facts), $verdict->silentFromH()],
            'what runs, not what ran',
        );
        self::assertStringContainsString('at the longest', CourseWords::sentence($verdict->facts));
    }

    public function test_a_heat_hold_is_the_longest_unbroken_time_by_a_record(): void
    {
        $milk = [[0.0, 60.0], [4.0, 64.0], [9.0, 64.0], [14.0, 64.0], [19.0, 64.0], [24.0, 64.0], [29.0, 64.0], [34.0, 64.0], [38.0, 60.0]];
        $hold = HeatHold::of($milk, 0.0, 63.0, 30.0);
        self::assertEqualsWithDelta(
            [32.0, 3.0, 35.0],
            [$hold->longestMinutes, $hold->fromMinute, $hold->toMinute],
            1e-9,
            'by hand: from 63 °C on the way up to 63 °C on the way down',
        );
        self::assertTrue($hold->isMet);
        self::assertFalse(HeatHold::of($milk, 0.9, 63.0, 30.5)->isMet, 'with its uncertainty taken off it is shorter');
        self::assertFalse(HeatHold::of($milk, 1.1, 63.0, 30.0)->isMet);

        $silent = HeatHold::of([[0.0, 64.0], [5.0, 64.0], [10.1, 64.0], [14.0, 64.0]], 0.0, 63.0, 12.0);
        self::assertSame(
            [5.0, 0.0, 5.0, false],
            [$silent->longestMinutes, $silent->fromMinute, $silent->toMinute, $silent->isMet],
            'nobody knows what was in the silence',
        );
        self::assertSame(
            [0.0, null],
            [
                HeatHold::of([[0.0, 62.0], [1.0, 62.5]], 0.0, 63.0, 1.0)->longestMinutes,
                HeatHold::of([[0.0, 63.0]], 0.0, 63.0, 1.0)->fromMinute,
            ],
        );
        $this->expectException(TimesNotIncreasing::class);
        HeatHold::of([[1.0, 64.0], [1.0, 64.0]], 0.0, 63.0, 1.0);
    }

    /**
     * @return iterable<string, array{Conformity|null, float, float, float|null, bool, float}> what it says; units needed, U, the end in
     *     minutes, whether the record is closed, units by hand
     */
    public static function treatments(): iterable
    {
        yield 'ten minutes at 60 °C are ten units' => [Conformity::Inside, 10.0, 0.0, null, false, 10.0];
        yield 'more is still to come' => [null, 15.0, 0.0, null, false, 10.0];
        yield 'too few at the end' => [Conformity::Outside, 15.0, 0.0, null, true, 10.0];
        yield 'enough but for the uncertainty, by 10^(−1/7)' => [Conformity::Inconclusive, 9.0, 1.0, null, true, 7.197];
        yield 'enough with the uncertainty taken off' => [Conformity::Inside, 7.0, 1.0, null, true, 7.197];
        yield 'only until the step that ends it' => [Conformity::Outside, 10.0, 0.0, 4.5, false, 4.5];
    }

    #[DataProvider('treatments')]
    public function test_pasteurisation_units_are_counted_with_the_uncertainty_taken_off(
        ?Conformity $conformity,
        float $needed,
        float $u,
        ?float $end,
        bool $isClosed,
        float $units,
    ): void {
        $verdict = CourseVerdict::lethality(
            self::record(array_map(static fn(int $minute): array => [$minute / 60, 60.0], range(0, 10))),
            $u,
            $needed,
            60.0,
            7.0,
            5.0,
            0.0,
            $end === null ? null : $end / 60,
            $isClosed,
        );

        self::assertSame($conformity, $verdict->conformity);
        self::assertEqualsWithDelta($units, $verdict->facts['units'], 0.001);
        self::assertStringContainsString('units (minutes at 60 °C, z 7 °C)', CourseWords::sentence($verdict->facts));
    }

    public function test_a_silence_in_a_treatment_counts_no_units_and_proves_nothing(): void
    {
        $verdict = CourseVerdict::lethality(
            self::record([[0.0, 60.0], [0.05, 60.0], [0.2, 60.0], [0.25, 60.0]]),
            0.0,
            8.0,
            60.0,
            7.0,
            5.0,
            null,
            null,
            true,
        );

        self::assertSame([Conformity::Inconclusive, 1], [$verdict->conformity, $verdict->facts['gap_count']]);
        self::assertEqualsWithDelta(6.0, $verdict->facts['units'], 1e-9);
        self::assertEqualsWithDelta([[0.05, 0.2]], $verdict->facts['gaps'], 1e-9, 'in hours');
    }

    /**
     * @return iterable<string, array{Conformity|null, non-empty-list<array{float, float}>, float|null, bool, float}>
     *     of 5 °C for 4 h from hour 0, U 0.5 °C; hours by hand
     */
    public static function warmSpells(): iterable
    {
        yield 'above for two hours' => [
            Conformity::Inside,
            [[0.0, 4.0], [1.0, 4.0], [1.001, 9.0], [2.0, 9.0], [2.999, 9.0], [3.0, 4.0], [4.0, 4.0]],
            4.0,
            false,
            2.0,
        ];
        yield 'so far' => [null, [[0.0, 4.0], [1.0, 9.0], [2.0, 9.0]], null, false, 1.9];
        yield 'above for five hours' => [
            Conformity::Outside,
            [[0.0, 9.0], [1.0, 9.0], [2.0, 9.0], [3.0, 9.0], [4.0, 9.0], [5.0, 9.0]],
            null,
            false,
            5.0,
        ];
        yield 'perhaps above for five hours' => [
            Conformity::Inconclusive,
            [[0.0, 4.9], [1.0, 4.9], [2.0, 4.9], [3.0, 4.9], [4.0, 4.9], [5.0, 4.9]],
            5.0,
            false,
            5.0,
        ];
        yield 'a silence counts as above' => [Conformity::Inconclusive, [[0.0, 4.0], [5.0, 4.0]], 5.0, false, 5.0];
        yield 'a beginning that nobody recorded counts as above' => [Conformity::Inconclusive, [[4.5, 4.0], [5.0, 4.0]], 5.0, false, 4.5];
        yield 'an end that nobody recorded counts as above' => [Conformity::Inconclusive, [[0.0, 4.0], [1.0, 4.0]], 5.5, false, 4.5];
        yield 'closed' => [Conformity::Inside, [[0.0, 4.0], [1.0, 4.0]], null, true, 0.0];
    }

    /** @param non-empty-list<array{float, float}> $points */
    #[DataProvider('warmSpells')]
    public function test_hours_above_a_temperature_count_what_nobody_recorded(
        ?Conformity $conformity,
        array $points,
        ?float $toH,
        bool $isClosed,
        float $hours,
    ): void {
        $verdict = CourseVerdict::timeBeyond(self::record($points), 0.5, 5.0, 4.0, 1.0, 0.0, $toH, $isClosed);

        self::assertSame($conformity, $verdict->conformity);
        self::assertEqualsWithDelta($hours, $verdict->facts['hours'], 0.01);
        self::assertStringContainsString('above 5 °C with the uncertainty on top; 4 h allowed', CourseWords::sentence($verdict->facts));
    }

    /** @param non-empty-list<array{float, float}> $points */
    private static function record(array $points): MergedRecord
    {
        return MergedRecord::of([new Stretch($points, true)], [], false);
    }

    /** @param non-empty-list<array{float, float}> $temperatures against 5 °C from the start */
    private static function cold(array $temperatures, ?float $now = null, float $hours = 240.0, ?LeftOut $leftOut = null): Throughout
    {
        return Throughout::of($temperatures, 0.5, Comparison::AtMost, 5.0, 0.0, $hours, $now, leftOut: $leftOut);
    }

    /** @param non-empty-list<array{float, float}> $record against four days at 1.67 °C */
    private static function cure(array $record, ?float $end = null, ?LeftOut $leftOut = null): HeatHold
    {
        return HeatHold::of($record, 0.5, 1.67, 4 * 1440.0, 1440.0, 0.0, $end, $leftOut);
    }

    /** @param list<array{float, float}> $ph */
    private static function decidedAt(array $ph, float $u = 0.0): ?float
    {
        return DegreeHours::of(self::flat(80.0, 40), ph: $ph, phExpandedU: $u)->hoursToLimit;
    }

    /** @return non-empty-list<array{float, float}> every half hour */
    private static function flat(float $value, int $hours): array
    {
        return array_map(static fn(int $i): array => [$i / 2, $value], range(0, 2 * $hours));
    }

    /**
     * @param array{float, int} ...$steps °F, hours
     *
     * @return list<array{float, float}> every half hour, each step reached within a thousandth of an hour
     */
    private static function steps(array ...$steps): array
    {
        $course = [];
        $at = 0.0;
        foreach ($steps as $n => [$value, $hours]) {
            $course[] = [$n === 0 ? 0.0 : $at + 0.001, $value];
            for ($i = 1; $i <= 2 * $hours; $i++) {
                $course[] = [$at + $i / 2, $value];
            }
            $at += $hours;
        }

        return $course;
    }

    public function test_a_silence_before_a_hold_ends_breaks_it_though_a_temperature_follows_after_its_end(): void
    {
        $hold = static fn(float $from): HeatHold => HeatHold::of(
            [[50.0, 64.0], [60.0, 64.0], [62.0, 64.0]],
            0.0,
            63.0,
            5.0,
            5.0,
            $from,
            61.0,
        );

        self::assertFalse($hold(50.0)->isWhole);
        self::assertTrue($hold(60.0)->isWhole);
    }

    public function test_degree_hours_end_no_earlier_than_the_newest_reading(): void
    {
        self::assertSame(DegreeHoursVerdict::Running, DegreeHours::of(self::flat(80.0, 5), nowH: 5.0)->verdict);
        $this->expectException(NowBeforeLastReading::class);
        DegreeHours::of(self::flat(80.0, 5), ph: [[6.0, 5.6]], nowH: 5.5);
    }

    public function test_a_moment_within_a_silence_is_as_hot_as_its_hotter_end(): void
    {
        $gap = [[0.0, 70.0], [3.0, 95.0]];

        self::assertSame(1000.0, DegreeHours::of([...$gap, [3.1, 95.0]], ph: [[1.5, 5.2]], fromH: 1.5)->allowed);
        self::assertSame(1200.0, DegreeHours::of([[0.0, 70.0], [1.0, 85.0], [2.0, 95.0]], ph: [[0.5, 5.2]], fromH: 0.5)->allowed);
    }

    public function test_a_stretch_that_is_left_out_ends_after_it_begins(): void
    {
        $this->expectExceptionObject(new LowNotBelowHigh(3.0, 2.0));
        LeftOut::of([[3.0, 2.0]]);
    }

    public function test_silence_up_to_the_end_of_a_span_that_is_over_is_a_gap(): void
    {
        $steady = array_map(static fn(int $h): array => [(float) $h, 3.0], range(0, 4));

        self::assertSame([], self::cold($steady, 4.0, 4.0)->gaps);
        self::assertSame([[4.0, 6.0]], self::cold($steady, 6.0, 6.0)->gaps);
        self::assertSame([], self::cold($steady, 6.0, 8.0)->gaps, 'while the span runs, the next reading is awaited');
    }

    public function test_without_a_begin_a_hold_is_whole_from_its_first_temperature_on(): void
    {
        self::assertTrue(HeatHold::of([[30.0, 64.0], [32.0, 64.0], [34.0, 64.0]], 0.0, 63.0, 4.0)->isWhole);
    }
}
