<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\OutOfRange;
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
    public function test_what_is_clear_is_accepted(Quantity $quantity, string $typed, float $value): void
    {
        self::assertEqualsWithDelta($value, $quantity->read($typed), 1e-9);
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
    public function test_anything_else_is_told_what_is_accepted(Quantity $quantity, string $typed): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessageMatches('/accepted/');

        $quantity->read($typed);
    }
}
