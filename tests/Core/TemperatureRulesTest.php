<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Courses\CourseVerdict;
use Rheacid\Core\Courses\DegreeHours;
use Rheacid\Core\Courses\HeatHold;
use Rheacid\Core\Courses\MergedRecord;
use Rheacid\Core\Courses\PhTimesNotIncreasing;
use Rheacid\Core\Courses\Stretch;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\Drift;
use Rheacid\Core\Thermometry\ElevationOutOfRange;
use Rheacid\Core\Thermometry\ErrorCost;
use Rheacid\Core\Thermometry\ImpossibleReading;
use Rheacid\Core\Thermometry\IntervalPolicy;
use Rheacid\Core\Thermometry\IntervalReason;
use Rheacid\Core\Thermometry\IntervalTooLong;
use Rheacid\Core\Thermometry\LooksLikeFahrenheit;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\PressureOutOfRange;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\Rtd;
use Rheacid\Core\Thermometry\Sense;
use Rheacid\Core\Thermometry\StationPressure;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\Thermometry\ToleranceClass;
use Rheacid\Core\Thermometry\VerificationInterval;

/** Small rules of thermometers and temperature records, by hand. */
final class TemperatureRulesTest extends TestCase
{
    public function test_tables_of_thermometry_end_where_they_end(): void
    {
        self::assertEqualsWithDelta(138.5055, Rtd::ohm(100.0), 1e-4);
        foreach ([-200.1, 850.1] as $celsius) {
            self::assertInstanceOf(TemperatureOutOfRange::class, self::thrown(static fn() => Rtd::ohm($celsius)));
        }
        self::assertEqualsWithDelta(99.974, BoilingPoint::celsius(101.325), 1e-3);
        foreach ([1.0, 500.0] as $kpa) {
            self::assertInstanceOf(PressureOutOfRange::class, self::thrown(static fn() => BoilingPoint::celsius($kpa)));
        }
        self::assertSame(['IEC 60751', 'A'], ToleranceClass::parts('IEC 60751 A'));
    }

    public function test_a_drift_meets_the_tolerance_on_the_side_to_which_it_goes(): void
    {
        $drift = static fn(float $step): Drift => Drift::of(
            array_map(
                static fn(int $i): PastCheck => new PastCheck(sprintf('2026-%02d-01', $i + 1), $step * $i, 0.5),
                range(0, 5),
            ),
        );

        foreach ([0.05, -0.05] as $step) {
            self::assertStringStartsWith('2026-10', (string) $drift($step)->leavesOn, "by $step a month");
        }
        self::assertNull($drift(0.0)->leavesOn);
    }

    public function test_three_checks_tell_no_drift(): void
    {
        $checks = array_map(static fn(int $i): PastCheck => new PastCheck("2026-0$i-01", 0.1 * $i, 0.5), [1, 2, 3, 4]);

        self::assertNull(Drift::of(array_slice($checks, 0, 3))->cPerYear);
        self::assertNotNull(Drift::of($checks)->cPerYear);
    }

    public function test_only_a_dial_can_be_adjusted_and_only_a_platinum_probe_has_a_resistance(): void
    {
        foreach (ThermometerKind::cases() as $kind) {
            self::assertSame($kind === ThermometerKind::Dial, $kind->isAdjustable(), $kind->value);
        }
    }

    public function test_a_platinum_resistance_is_read_back_below_zero(): void
    {
        foreach ([-150.0, -40.0, 0.0, 60.0] as $celsius) {
            self::assertEqualsWithDelta($celsius, Rtd::celsius(Rtd::ohm($celsius)), 1e-9);
        }
    }

    public function test_a_reading_that_is_no_celsius_or_cannot_be_is_refused(): void
    {
        $ice = Reference::ice();
        $refused = static fn(float $reading): ?\Throwable => self::thrown(static fn() => Sense::ensure($ice, [0.1, $reading]));

        self::assertNull($refused(-0.3));
        self::assertInstanceOf(LooksLikeFahrenheit::class, $refused(32.4));
        $impossible = $refused(60.0);
        self::assertInstanceOf(ImpossibleReading::class, $impossible);
        self::assertStringContainsString('60', $impossible->getMessage());
    }

    public function test_two_checks_of_a_thermometer_tell_no_trend(): void
    {
        $drift = Drift::of([
            new PastCheck('2026-01-01', 0.1, 0.5),
            new PastCheck('2026-02-01', 0.2, 0.5),
        ]);

        self::assertNull($drift->leavesOn);
    }

    public function test_a_wrong_temperature_costs_heat_and_money(): void
    {
        $cost = ErrorCost::perYear(1000.0, 2000.0, -0.5, 0.8, 0.25);

        // 1000 kg/h · 2000 h · 4.18 kJ/(kg K) · 0.5 K = 4.18 GJ = 1161.11 kWh, of which the boiler wastes a fifth
        self::assertEqualsWithDelta(1451.39, $cost['kwh'], 0.01);
        self::assertEqualsWithDelta(362.85, $cost['cost'], 0.01);
    }

    public function test_readings_of_ph_beside_a_temperature_record_come_in_order(): void
    {
        $this->expectException(PhTimesNotIncreasing::class);
        DegreeHours::of([[0.0, 20.0], [4.0, 20.0]], true, ph: [[1.0, 5.4], [1.0, 5.2]]);
    }

    public function test_a_stretch_is_a_line_between_its_points_and_can_lose_a_part(): void
    {
        $stretch = new Stretch([[0.0, 10.0], [2.0, 20.0], [4.0, 20.0], [6.0, 8.0]], true);

        self::assertSame([12.5, 20.0, 14.0], [$stretch->at(0.5), $stretch->at(2.0), $stretch->at(5.0)]);
        self::assertSame([null, null], [$stretch->at(-0.1), $stretch->at(6.1)]);
        [$left, $struck] = $stretch->without([[1.5, 2.5], [7.0, 8.0]]);
        self::assertEquals([new Stretch([[0.0, 10.0]], true), new Stretch([[4.0, 20.0], [6.0, 8.0]], true)], $left);
        self::assertSame([[1.5, 2.5]], $struck);
    }

    public function test_a_silence_before_a_hold_begins_leaves_it_whole(): void
    {
        $record = [[0.0, 80.0], [60.0, 80.0], [61.0, 80.0], [62.0, 80.0]];

        self::assertTrue(HeatHold::of($record, 0.0, 72.0, 2.0, beginMinute: 60.0, endMinute: 62.0)->isWhole);
        self::assertFalse(HeatHold::of($record, 0.0, 72.0, 2.0, beginMinute: 59.0, endMinute: 62.0)->isWhole);
    }

    /** @param callable(): mixed $act */
    private static function thrown(callable $act): ?\Throwable
    {
        try {
            $act();

            return null;
        } catch (\Throwable $thrown) {
            return $thrown;
        }
    }

    public function test_a_hold_ends_with_the_step_that_ends_it(): void
    {
        $record = MergedRecord::of([new Stretch([[0.0, 80.0], [0.5, 80.0], [1.0, 80.0], [1.5, 80.0]], true)], [], isWorstHigh: false);
        $held = static fn(float $toH): mixed => CourseVerdict::heatHold($record, 0.0, 72.0, 45.0, 60.0, 0.0, $toH, true)
            ->facts['longest_minutes'];

        self::assertEqualsWithDelta([30.0, 60.0], [$held(0.5), $held(1.0)], 1e-9);
    }

    public function test_a_pressure_that_looks_reduced_is_told_with_the_elevation(): void
    {
        $this->expectExceptionMessageMatches('/101[.,]3.*500 m/');
        StationPressure::of(101.3, null, 500.0);
    }

    public function test_an_air_pressure_or_an_elevation_that_cannot_be_is_told_with_what_is_accepted(): void
    {
        self::assertSame(
            '20 kPa is not a plausible air pressure. Type 30 to 110 kPa.',
            self::thrown(static fn() => BoilingPoint::celsius(20.0))?->getMessage(),
        );
        self::assertInstanceOf(ElevationOutOfRange::class, self::thrown(static fn() => BoilingPoint::kpaAt(9001.0)));
        self::assertInstanceOf(ElevationOutOfRange::class, self::thrown(static fn() => BoilingPoint::kpaAt(-401.0)));
    }

    public function test_a_thermometer_that_walks_to_the_edge_of_its_tolerance_earns_no_longer_interval(): void
    {
        $after = static fn(float $step): IntervalReason => VerificationInterval::after(
            30,
            array_map(
                static fn(int $i): PastCheck => new PastCheck(sprintf('2026-%02d-01', $i + 1), 0.75 + $step * $i, 1.0),
                range(0, 4),
            ),
        )->reason;

        self::assertSame(IntervalReason::Doubled, $after(0.0));
        self::assertSame(IntervalReason::Keep, $after(0.05));
    }

    public function test_the_resistance_of_a_platinum_thermometer_in_ice_is_in_its_name(): void
    {
        self::assertSame([100.0, 1000.0], [ThermometerKind::Pt100->r0Ohm(), ThermometerKind::Pt1000->r0Ohm()]);
    }

    public function test_an_interval_of_a_century_is_none(): void
    {
        $this->expectExceptionObject(new IntervalTooLong(40_000, 36_525));
        VerificationInterval::after(40_000, [new PastCheck('2026-01-01', 0.1, 1.0)], policy: new IntervalPolicy(maxDays: 50_000));
    }
}
