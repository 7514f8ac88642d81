<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Cells\CellStandard;
use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Cells\StandardReading;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Electrode\ElectrodeTrend;

/** When an electrode leaves its policy, and what a conductivity means. */
final class ElectrodeTrendTest extends TestCase
{
    public function test_a_line_without_scatter_meets_the_limit_on_one_day_and_its_band_too(): void
    {
        // 0.01 % a day from 98 %: 90 % after 800 days.
        $trend = ElectrodeTrend::of(self::falling(0.01, [0, 100, 200, 300]), 90);

        self::assertEqualsWithDelta(-3.6525, $trend->percentPerYear, 1e-9);
        self::assertSame(['2027-03-12', '2027-03-12', '2027-03-12'], [$trend->earliest, $trend->leavesPolicyOn, $trend->latest]);
        self::assertEqualsWithDelta(97.0, $trend->at('2025-04-11'), 1e-9);
    }

    public function test_scatter_opens_the_band_and_it_lies_around_the_line(): void
    {
        $history = self::falling(0.01, [0, 60, 120, 180, 240, 300]);
        foreach ([0.4, -0.3, 0.2, -0.4, 0.3, -0.2] as $i => $scatter) {
            $history[$i] = [$history[$i][0], $history[$i][1] + $scatter];
        }
        $trend = ElectrodeTrend::of($history, 90);

        self::assertLessThan($trend->leavesPolicyOn, $trend->earliest);
        self::assertGreaterThan('2025-10-28', $trend->earliest, 'after the last calibration');
        self::assertTrue($trend->latest === null || $trend->latest > $trend->leavesPolicyOn);
    }

    public function test_too_few_points_or_no_fall_or_a_passed_limit_give_no_date(): void
    {
        $dates = static fn(ElectrodeTrend $trend): array => [$trend->earliest, $trend->leavesPolicyOn, $trend->latest];
        $none = [null, null, null];

        self::assertSame($none, $dates(ElectrodeTrend::of(self::falling(0.01, [0, 100, 200]), 90)), 'three are too few');
        self::assertSame($none, $dates(ElectrodeTrend::of(self::falling(-0.01, [0, 100, 200, 300]), 90)), 'rising');
        self::assertSame($none, $dates(ElectrodeTrend::of(self::falling(0.01, [0, 300, 600, 900]), 90)), 'below the limit already');
        self::assertSame($none, $dates(ElectrodeTrend::of(self::falling(0.0005, [0, 100, 200, 300]), 90)), 'not within ten years');
        self::assertNull(ElectrodeTrend::of([['2026-01-01', 98.0]], 90)->percentPerYear, 'one tells no slope');
    }

    public function test_the_order_of_a_history_does_not_matter_and_a_date_stands_once(): void
    {
        $history = self::falling(0.01, [0, 100, 200, 300]);
        self::assertEquals(ElectrodeTrend::of($history, 90), ElectrodeTrend::of(array_reverse($history), 90));

        $this->expectException(Contradiction::class);
        $this->expectExceptionMessage('2025-01-01 appears twice');
        ElectrodeTrend::of([...$history, $history[0]], 90);
    }

    public function test_a_conductivity_is_given_at_25_degrees_with_its_solids(): void
    {
        $read = Conductivity::compensated(1278, 20);

        // By hand: 1278 / (1 − 0.02 · 5) = 1420.
        self::assertEqualsWithDelta([1420.0, 710.0, 994.0], [$read->usPerCm25, $read->tds500Ppm(), $read->tds700Ppm()], 1e-9);
        self::assertEqualsWithDelta(1413 / 1420, CellStandard::conductivity(new StandardReading(1413, 1278, 20))->cellFactor, 1e-12);
        $this->expectException(Contradiction::class);
        Conductivity::compensated(1413, 0, 4.0);
    }

    /**
     * @param list<int> $days since the first of January 2025
     *
     * @return non-empty-list<array{string, float}>
     */
    private static function falling(float $percentADay, array $days): array
    {
        $history = array_map(
            static fn(int $day): array => [gmdate('Y-m-d', gmmktime(0, 0, 0, 1, 1 + $day, 2025) ?: 0), 98.0 - $percentADay * $day],
            $days,
        );

        return $history === [] ? throw new \LogicException() : $history;
    }
}
