<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\ChartSignal;
use Rheacid\Core\Care\ControlChart;
use Rheacid\Core\Care\ControlCheckFacts;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Solutions\ControlBuffer;

final class CheckTest extends TestCase
{
    private const NOW = '2026-11-25T10:00:00Z';

    /**
     * @return iterable<string, array{ReleaseBlock|null, float|null, list<ControlCheckFacts>}> block, error that is known, checks before and
     *     after
     */
    public static function checks(): iterable
    {
        $read = static fn(
            string $when,
            float $error = 0.01,
            bool $passed = true,
            int $between = 0,
        ): ControlCheckFacts => new ControlCheckFacts((new \DateTimeImmutable(self::NOW))->modify($when), $passed, $error, $between);
        yield 'none was read' => [ReleaseBlock::ControlCheckMissing, null, []];
        yield 'a good one within two hours and ten samples' => [null, 0.01, [$read('-2 hours', between: 9)]];
        yield 'one after it vouches as well' => [null, 0.01, [$read('+2 hours')]];
        yield 'the worse of both is what is known' => [null, 0.03, [$read('-1 hour', -0.03), $read('+1 hour', 0.01)]];
        yield 'two hours and a second ago' => [ReleaseBlock::ControlCheckMissing, null, [$read('-7201 seconds')]];
        yield 'ten samples ago' => [ReleaseBlock::ControlCheckMissing, null, [$read('-1 hour', between: 10)]];
        yield 'the last one failed' => [ReleaseBlock::ControlCheckFailed, null, [$read('-1 minute', 0.09, false)]];
        yield 'the next one failed' => [ReleaseBlock::ControlCheckFailed, null, [$read('-1 minute'), $read('+5 hours', 0.09, false)]];
    }

    /** @param list<ControlCheckFacts> $checks */
    #[DataProvider('checks')]
    public function test_a_critical_limit_needs_a_good_check_near_the_reading(?ReleaseBlock $block, ?float $error, array $checks): void
    {
        $status = ControlCheckStatus::at(new \DateTimeImmutable(self::NOW), $checks);

        self::assertSame([$block, $error], [$status->block(), $status->errorPh]);
    }

    public function test_at_first_a_third_of_the_limit_stands_in_for_the_deviation(): void
    {
        self::assertSame([null, ChartSignal::Warn, ChartSignal::Act], ControlChart::of([0.03, 0.034, 0.051], 0.05)->signals);
    }

    public function test_with_eight_results_their_own_deviation_counts(): void
    {
        $chart = ControlChart::of([0.0, 0.01, -0.01, 0.01, -0.01, 0.01, -0.01, 0.0], 0.05);

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

    public function test_seven_in_a_row_on_one_side_are_reported_and_six_are_not(): void
    {
        $six = ControlChart::of([0.01, 0.01, 0.01, 0.01, 0.01, 0.01], 0.05)->signals;
        $seven = ControlChart::of([0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01], 0.05)->signals;

        self::assertNull($six[5]);
        self::assertSame(ChartSignal::OneSide, $seven[6]);
    }

    public function test_the_check_lies_within_what_was_calibrated_and_nearest_to_what_is_judged(): void
    {
        $bottles = ['R-03' => 3.0, 'R-07' => 4.005, 'R-08' => 6.865, 'R-09' => 9.18];

        self::assertSame(['R-07', 'R-08'], ControlBuffer::among($bottles, 4.0, 7.0, [4.6, 6.0]));
        self::assertSame(
            ['R-08', 'R-07'],
            ControlBuffer::among($bottles, 4.05, 7.0, [6.0]),
            '4.005 lies 0.045 below the range, and is taken',
        );
        self::assertSame(['R-08'], ControlBuffer::among($bottles, 4.06, 7.0, []), '0.055 is too far');
        self::assertSame(
            ['R-07', 'Q-31'],
            ControlBuffer::among(['R-07' => 4.005, 'Q-31' => 4.104], 4.0, 7.0, [4.6]),
            'as near as makes no difference: the first goes before',
        );
        self::assertSame(['Q-31', 'R-07'], ControlBuffer::among(['R-07' => 4.005, 'Q-31' => 4.11], 4.0, 7.0, [4.6]));
    }
}
