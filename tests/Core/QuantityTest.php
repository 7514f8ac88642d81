<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Words\Quantity;

final class QuantityTest extends TestCase
{
    /** @return iterable<string, array{Quantity, string, float}> */
    public static function clear(): iterable
    {
        yield 'a point' => [Quantity::Ph, '4.52', 4.52];
        yield 'a comma' => [Quantity::Ph, '4,52', 4.52];
        yield 'its unit' => [Quantity::Ph, ' 4.52 pH ', 4.52];
        yield 'a true minus sign' => [Quantity::Millivolt, '−12,5 mV', -12.5];
        yield 'no space before the unit' => [Quantity::Millivolt, '177.4mV', 177.4];
        yield 'fahrenheit is converted' => [Quantity::Temperature, '32.9 F', 0.5];
        yield 'a degree sign' => [Quantity::Temperature, '21.4 °C', 21.4];
    }

    #[DataProvider('clear')]
    public function test_a_clear_value_is_accepted(Quantity $quantity, string $typed, float $value): void
    {
        self::assertEqualsWithDelta($value, $quantity->read($typed), 1e-9);
    }

    /**
     * @return iterable<string, array{Quantity, string, string, string, string}> the lowest and the highest that is taken, and what lies
     *     beyond
     */
    public static function ranges(): iterable
    {
        yield 'pH' => [Quantity::Ph, '-2', '16', '-2.01', '16.01'];
        yield 'mV' => [Quantity::Millivolt, '-1000', '1000', '-1000.1', '1000.1'];
        yield 'a sample, °C' => [Quantity::Temperature, '-5', '130', '-5.1', '130.1'];
        yield 'a sample, °F' => [Quantity::Temperature, '23 F', '266 F', '22.9 F', '266.1 F'];
        yield 'a thermometer' => [Quantity::Thermometer, '-200', '850', '-200.1', '850.1'];
        yield 'seconds' => [Quantity::Seconds, '0', '3600', '-1', '3601'];
        yield 'conductivity' => [Quantity::Conductivity, '0', '500 mS/cm', '-1', '500.1 mS/cm'];
        yield 'a slope' => [Quantity::Percent, '0 %', '200 %', '-1 %', '201 %'];
        yield 'air pressure' => [Quantity::Pressure, '300 hPa', '110 kPa', '299 hPa', '1101 mbar'];
        yield 'elevation' => [Quantity::Elevation, '-400', '9000', '-401', '30000 ft'];
        yield 'resistance' => [Quantity::Ohm, '1', '10000', '0.9', '10001'];
        yield 'insulation' => [Quantity::Megaohm, '0', '1000000', '-1', '1000001'];
    }

    #[DataProvider('ranges')]
    public function test_a_quantity_is_taken_up_to_its_edge_and_no_further(
        Quantity $quantity,
        string $lowest,
        string $highest,
        string $below,
        string $above,
    ): void {
        self::assertLessThan($quantity->read($highest), $quantity->read($lowest));
        foreach ([$below, $above] as $beyond) {
            try {
                $quantity->read($beyond);
                self::fail("$beyond was taken.");
            } catch (BeyondRange $refusal) {
                self::assertStringContainsString('accepted', $refusal->getMessage());
            }
        }
    }

    /** @return iterable<string, array{Quantity, string}> */
    public static function unclear(): iterable
    {
        yield 'letters' => [Quantity::Ph, 'abc'];
        yield 'nothing' => [Quantity::Ph, ''];
        yield 'another unit' => [Quantity::Ph, '177.4 mV'];
        yield 'comma and point' => [Quantity::Millivolt, '1,234.5'];
        yield 'an exponent' => [Quantity::Millivolt, '1e999'];
        yield 'beyond the meter' => [Quantity::Millivolt, '1000.1'];
        yield 'two numbers' => [Quantity::Temperature, '21 22'];
        yield 'a formula' => [Quantity::Ph, '=4+1'];
        yield 'other digits' => [Quantity::Ph, '４.５'];
        yield 'a line end' => [Quantity::Ph, "4.5\n5"];
    }

    #[DataProvider('unclear')]
    public function test_anything_else_is_refused_with_what_is_accepted(Quantity $quantity, string $typed): void
    {
        $this->expectException(BeyondRange::class);
        $this->expectExceptionMessageMatches('/accepted/');

        $quantity->read($typed);
    }
}
