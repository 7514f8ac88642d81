<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\ChartSignal;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Care\ControlChart;

final class CheckTest extends TestCase
{
    /** @return iterable<string, array{ControlCheckStatus, bool|null, string|null, int}> */
    public static function checks(): iterable
    {
        yield 'none was read' => [ControlCheckStatus::Missing, null, null, 0];
        yield 'a good one within two hours and ten samples' => [ControlCheckStatus::Good, true, '-2 hours', 9];
        yield 'two hours and a second ago' => [ControlCheckStatus::Missing, true, '-7201 seconds', 0];
        yield 'ten samples ago' => [ControlCheckStatus::Missing, true, '-1 hour', 10];
        yield 'the last one failed' => [ControlCheckStatus::Failed, false, '-1 minute', 0];
    }

    #[DataProvider('checks')]
    public function test_a_critical_limit_needs_a_fresh_good_check(ControlCheckStatus $status, ?bool $passed, ?string $ago, int $samples): void
    {
        $now = new \DateTimeImmutable('2026-11-25T10:00:00Z');

        self::assertSame($status, ControlCheckStatus::at($now, $passed, $ago === null ? null : $now->modify($ago), $samples));
        self::assertSame($status === ControlCheckStatus::Good, $status->block() === null);
    }

    public function test_at_first_a_third_of_the_limit_stands_in_for_the_deviation(): void
    {
        self::assertSame([null, ChartSignal::Warn, ChartSignal::Act], ControlChart::of([0.03, 0.034, 0.051], 0.05)->signals);
    }

    public function test_with_eight_results_their_own_deviation_counts(): void
    {
        $chart = ControlChart::of([0.00, 0.01, -0.01, 0.01, -0.01, 0.01, -0.01, 0.00], 0.05);

        self::assertEqualsWithDelta(0.00926, $chart->deviation, 0.00001);
        self::assertEqualsWithDelta(0.0, $chart->centre, 1e-12);
    }

    public function test_the_lines_of_a_known_bottle_lie_about_its_own_mean(): void
    {
        // Mean 0.0177, deviation 0.0050: the last lies 2.1 deviations below it, though hardly off zero.
        $chart = ControlChart::of([0.022, 0.016, 0.022, 0.016, 0.022, 0.016, 0.022, 0.016, 0.007], 0.05);

        self::assertEqualsWithDelta(0.01767, $chart->centre, 1e-5);
        self::assertSame([...array_fill(0, 8, null), ChartSignal::Warn], $chart->signals);
    }

    public function test_seven_in_a_row_on_one_side_are_told_and_six_are_not(): void
    {
        $six = ControlChart::of([0.01, 0.01, 0.01, 0.01, 0.01, 0.01], 0.05)->signals;
        $seven = ControlChart::of([0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01], 0.05)->signals;

        self::assertNull($six[5]);
        self::assertSame(ChartSignal::OneSide, $seven[6]);
    }
}
