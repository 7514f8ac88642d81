<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CalibrationInterval;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\CleaningEffect;
use Rheacid\Core\Care\CleaningProof;
use Rheacid\Core\Care\IntervalKind;
use Rheacid\Core\Cells\CellReadsNothing;
use Rheacid\Core\Cells\CellStandard;
use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Cells\StandardReading;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Electrode\TemperatureGap;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Solutions\SolutionKind;

/** Until when things hold, and what is due next. */
final class CareTest extends TestCase
{
    /** @return iterable<string, array{IntervalKind, int, string}> */
    public static function intervals(): iterable
    {
        yield 'before each use: to the end of the day at most' => [IntervalKind::EachUse, 1, '2026-11-25T23:59:59Z'];
        yield 'daily' => [IntervalKind::Daily, 1, '2026-11-25T23:59:59Z'];
        yield 'every twelve hours' => [IntervalKind::Hours, 12, '2026-11-25T20:00:00Z'];
        yield 'every thirty days' => [IntervalKind::Days, 30, '2026-12-25T08:00:00Z'];
        yield 'every ten readings: a month at most' => [IntervalKind::Readings, 10, '2026-12-25T08:00:00Z'];
    }

    #[DataProvider('intervals')]
    public function test_a_calibration_holds_as_long_as_its_policy_says(IntervalKind $kind, int $count, string $due): void
    {
        self::assertEquals(
            new \DateTimeImmutable($due),
            (new CalibrationInterval($kind, $count))->dueAt(
                new \DateTimeImmutable('2026-11-25T08:00:00Z'),
                new \DateTimeImmutable('2026-11-25T23:59:59Z'),
            ),
        );
    }

    public function test_readings_are_counted_and_a_session_ends_with_storage(): void
    {
        $tenth = new CalibrationInterval(IntervalKind::Readings, 10);
        self::assertSame([false, true], [$tenth->isSpent(9, true), $tenth->isSpent(10, false)]);
        $each = new CalibrationInterval(IntervalKind::EachUse, 1);
        self::assertSame([false, true], [$each->isSpent(50, false), $each->isSpent(0, true)]);
        self::assertFalse((new CalibrationInterval(IntervalKind::Daily, 1))->isSpent(50, true));
    }

    public function test_the_cap_weekly_cleaning_and_soaking_monthly_each_from_the_last_time(): void
    {
        $next = CareSchedule::next(new \DateTimeImmutable('2026-11-01'), [
            'topped-up' => new \DateTimeImmutable('2026-11-20'),
            'soak' => new \DateTimeImmutable('2026-10-02'),
        ]);

        self::assertSame(
            ['soak 2026-11-01', 'topped-up 2026-11-27', 'cleaned 2026-12-01'],
            array_map(static fn(array $due): string => $due['kind']->value . ' ' . $due['at']->format('Y-m-d'), $next),
        );
    }

    public function test_what_happens_to_an_electrode_makes_a_calibration_due_and_what_is_done_with_it_does_not(): void
    {
        $due = array_map(
            static fn(CareKind $kind): string => $kind->value,
            array_values(array_filter(CareKind::cases(), static fn(CareKind $kind): bool => $kind->makesCalibrationDue())),
        );

        self::assertSame(['cleaned', 'refilled', 'dropped', 'dried-out', 'wrong-storage', 'battery', 'repaired', 'broken'], $due);
    }

    /** @return iterable<string, array{SolutionKind, bool, float|null, int, int|null}> common practice, no source */
    public static function shelfLives(): iterable
    {
        yield 'an acid buffer' => [SolutionKind::Buffer, false, 4.01, 90, 10];
        yield 'a neutral buffer' => [SolutionKind::Buffer, false, 7.41, 90, 10];
        yield 'an alkaline buffer takes up carbon dioxide' => [SolutionKind::Buffer, false, 9.18, 30, 10];
        yield 'a sachet' => [SolutionKind::Buffer, true, 4.01, 1, 10];
        yield 'a conductivity standard' => [SolutionKind::Conductivity, false, null, 90, 5];
        yield 'storage solution is not counted' => [SolutionKind::Storage, false, null, 365, null];
    }

    #[DataProvider('shelfLives')]
    public function test_an_opened_bottle_keeps_as_its_kind_does(SolutionKind $kind, bool $madeUp, ?float $ph, int $days, ?int $uses): void
    {
        self::assertSame([$days, $uses], [$kind->daysAfterOpening($madeUp, $ph), $kind->usesAllowed()]);
    }

    /**
     * @return iterable<string, array{CleaningEffect, float|null, float|null, float|null, float|null}> effect, slope before and after,
     *     response before and after; common practice, no source
     */
    public static function cleanings(): iterable
    {
        yield 'the slope rose by a point' => [CleaningEffect::Better, 91.0, 92.0, null, null];
        yield 'it rests a third sooner' => [CleaningEffect::Better, 95.0, 95.2, 60.0, 40.0];
        yield 'a hair less than either' => [CleaningEffect::None, 91.0, 91.99, 60.0, 40.3];
        yield 'faster, but the slope fell: no gain' => [CleaningEffect::Worse, 95.0, 94.0, 80.0, 40.0];
        yield 'slower, but as steep: scatter' => [CleaningEffect::None, 95.0, 95.0, 50.0, 90.0];
        yield 'a meter that tells neither' => [CleaningEffect::None, null, null, null, null];
        yield 'at rest at once before: no share can be told' => [CleaningEffect::None, 95.0, 95.0, 0.0, 30.0];
    }

    #[DataProvider('cleanings')]
    public function test_a_cleaning_is_judged_by_what_came_after_it(
        CleaningEffect $effect,
        ?float $slopeBefore,
        ?float $slopeAfter,
        ?float $before,
        ?float $after,
    ): void {
        self::assertSame($effect, (new CleaningProof($slopeBefore, $slopeAfter, $before, $after))->effect);
    }

    public function test_a_sample_more_than_ten_degrees_from_the_calibration_is_marked(): void
    {
        self::assertSame(
            [false, true, false, true],
            [
                TemperatureGap::isFar(31.0, 21.0),
                TemperatureGap::isFar(31.1, 21.0),
                TemperatureGap::isFar(11.0, 21.0),
                TemperatureGap::isFar(10.9, 21.0),
            ],
        );
    }

    public function test_each_school_takes_the_buffers_in_its_order(): void
    {
        $take = static fn(BufferOrder $order): array => $order->arrange([9.18, 4.01, 1.68, 6.86], static fn(float $ph): float => $ph);

        self::assertSame([6.86, 4.01, 1.68, 9.18], $take(BufferOrder::NeutralFirst));
        self::assertSame([1.68, 4.01, 6.86, 9.18], $take(BufferOrder::LowestFirst));
        self::assertSame([9.18, 4.01, 1.68, 6.86], $take(BufferOrder::Free));
    }

    /** @return iterable<string, array{float, float, Verdict}> reading in 1413 µS/cm at 25 °C, its factor, verdict */
    public static function cells(): iterable
    {
        yield 'right' => [1413.0, 1.0, Verdict::Pass];
        yield 'at the edge of good' => [1413 / 1.1, 1.1, Verdict::Pass];
        yield 'usable' => [1413 / 0.85, 0.85, Verdict::Caution];
        yield 'a wrong standard' => [12880.0, 1413 / 12880, Verdict::Fail];
    }

    #[DataProvider('cells')]
    public function test_a_cell_is_judged_by_its_factor(float $reading, float $factor, Verdict $verdict): void
    {
        $cell = CellStandard::conductivity(new StandardReading(1413, $reading, 25));

        self::assertEqualsWithDelta($factor, $cell->cellFactor, 1e-12);
        self::assertSame($verdict, $cell->verdict);
    }

    public function test_a_redox_electrode_is_judged_by_its_offset_and_a_dry_cell_is_reported(): void
    {
        self::assertSame(
            [Verdict::Pass, Verdict::Caution, Verdict::Fail],
            array_map(static fn(float $mv): Verdict => CellStandard::redox(220, $mv)->verdict, [230.0, 205.0, 241.0]),
        );
        $this->expectException(Contradiction::class);
        CellStandard::conductivity(new StandardReading(1413, 0, 25));
    }

    public function test_two_standards_make_a_line_with_factor_and_offset(): void
    {
        $read = static fn(
            float $standard,
            float $factor,
            float $offset,
            float $celsius = 25.0,
            float $percent = 2.0,
        ): StandardReading => new StandardReading(
            $standard,
            ($standard * (1 + ($percent / 100) * ($celsius - 25)) - $offset) / $factor,
            $celsius,
            $percent,
        );
        $line = CellStandard::line($read(12880.0, 1.05, -20.0, 21.0), $read(1413.0, 1.05, -20.0, 19.0));
        self::assertEqualsWithDelta([1.05, -20.0], [$line->cellFactor, $line->offsetUs], 1e-9);
        self::assertSame(Verdict::Pass, $line->verdict);
        self::assertEqualsWithDelta(
            1413.0,
            Conductivity::compensated($read(1413.0, 1.05, -20.0, 19.0)->usPerCm, 19.0, cellFactor: 1.05, offsetUs: -20.0)->usPerCm25,
            1e-9,
            'it reads its own standard right',
        );
        self::assertEqualsWithDelta(
            1.05,
            CellStandard::line($read(1413.0, 1.05, -20.0, 19.0, 0.0), $read(12880.0, 1.05, -20.0))->cellFactor,
            1e-9,
            'a pen that compensates by itself',
        );

        $verdict = static fn(float $factor, float $offset): Verdict => CellStandard::line(
            $read(1413.0, $factor, $offset),
            $read(12880.0, $factor, $offset),
        )->verdict;
        self::assertSame(
            [Verdict::Pass, Verdict::Caution, Verdict::Caution, Verdict::Fail, Verdict::Fail],
            [$verdict(1.0, 70.0), $verdict(1.0, 72.0), $verdict(1.15, 0.0), $verdict(1.0, -142.0), $verdict(1.25, 0.0)],
        );
        self::assertTrue(CellStandard::makeALine(1413.0, 2826.0));
        self::assertFalse(CellStandard::makeALine(1413.0, 2825.0));
        self::assertTrue(CellStandard::isFarTooLow(1413.0, 4.2));
        self::assertFalse(CellStandard::isFarTooLow(1413.0, 70.7));
        $this->expectException(CellReadsNothing::class);
        CellStandard::line($read(1413.0, 1.0, 0.0), new StandardReading(12880.0, 1413.0, 25.0));
    }
}
