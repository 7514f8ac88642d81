<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Measurands\Hydrometer;
use Rheacid\Core\Measurands\HydrometerTooFar;

/** What a hydrometer would show at 20 °C. */
final class HydrometerTest extends TestCase
{
    /** Known densities of water, kg/m³: CIPM table, from memory. */
    #[TestWith([10.0, 999.703])]
    #[TestWith([20.0, 998.207])]
    #[TestWith([25.0, 997.047])]
    #[TestWith([30.0, 995.649])]
    public function test_water_is_as_dense_as_in_the_table(float $celsius, float $density): void
    {
        self::assertEqualsWithDelta($density, Hydrometer::waterDensity($celsius), 0.001);
    }

    public function test_warm_liquid_reads_too_low_and_cold_too_high(): void
    {
        self::assertSame(1.05, Hydrometer::relativeDensity(1.05, 20.0));
        self::assertEqualsWithDelta(
            [1.04949, 1.04853],
            [Hydrometer::relativeDensity(1.048, 26.0), Hydrometer::relativeDensity(1.05, 11.0)],
            0.00005,
        );
        self::assertEqualsWithDelta(15.0, Hydrometer::brix(15.0, 20.0), 1e-6);
        self::assertEqualsWithDelta(15.65, Hydrometer::brix(15.0, 30.0), 0.1, 'about 0.065 °Brix for each degree, from memory');
    }

    /** Sucrose by mass and relative density 20/20: tables of sucrose, from memory. */
    #[TestWith([10.0, 1.04003])]
    #[TestWith([20.0, 1.08297])]
    #[TestWith([30.0, 1.12913])]
    public function test_an_extract_is_that_of_the_tables(float $brix, float $density): void
    {
        self::assertEqualsWithDelta($brix, Hydrometer::toBrix($density), 0.03);
    }

    public function test_it_still_answers_at_either_end(): void
    {
        self::assertEqualsWithDelta(
            [1.04846, 1.05257],
            [Hydrometer::relativeDensity(1.05, 10.0), Hydrometer::relativeDensity(1.05, 30.0)],
            0.0002,
        );
    }

    #[TestWith([9.9])]
    #[TestWith([30.1])]
    public function test_too_far_from_20_it_gives_no_value(float $celsius): void
    {
        $this->expectException(HydrometerTooFar::class);
        Hydrometer::relativeDensity(1.05, $celsius);
    }
}
