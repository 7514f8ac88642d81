<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Celsius;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
use Rheacid\Core\Style;
use Rheacid\Core\Words\Quantity;
use Rheacid\Core\Words\ThermometerWords;

/** How numbers are written and typed where a site has settled otherwise. */
final class StyleTest extends TestCase
{
    protected function tearDown(): void
    {
        Style::use(false, false);
    }

    public function test_every_number_shown_can_have_a_decimal_comma(): void
    {
        Style::use(true, false);

        self::assertSame(
            ['−0,5', '7,020', '25', '21,4 °C'],
            [Numbers::plain(-0.5), Numbers::fixed(7.02, 3), Numbers::plain(25), Celsius::at(21.4)],
        );
    }

    public function test_fahrenheit_stands_first_and_a_difference_converts_without_an_offset(): void
    {
        Style::use(false, true);

        self::assertSame(
            ['70.5 °F (21.4 °C)', '32.0 °F (0.0 °C)', '−40 °F (−40 °C)'],
            [Celsius::at(21.4, 1), Celsius::at(0, 1), Celsius::at(-40)],
        );
        self::assertSame(['0.9 °F (0.5 °C)', '64.4 to 77 °F (18 to 25 °C)'], [Celsius::by(0.5), Celsius::between(18, 25)]);
        self::assertSame(
            ['145.4', '1.8', '°F', '4.52', ''],
            [
                Measurand::Temperature->shown(63),
                Measurand::Temperature->shownBy(1),
                Measurand::Temperature->shownUnit(),
                Measurand::Ph->shown(4.52),
                Measurand::Ph->shownUnit(),
            ],
        );
        self::assertSame('Reads 0.90 °F (0.50 °C) high, ± 0.36.', ThermometerWords::error(0.5, 0.2));
    }

    /** What is typed bare is in the unit that stands first; a unit behind it goes before that. */
    #[TestWith([false, '21.4', 21.4])]
    #[TestWith([false, '70.5 F', 21.389])]
    #[TestWith([true, '70.5', 21.389])]
    #[TestWith([true, '21,4 C', 21.4])]
    #[TestWith([true, '70,5°F', 21.389])]
    public function test_a_temperature_without_a_unit_is_in_the_unit_that_stands_first(
        bool $fahrenheitFirst,
        string $typed,
        float $celsius,
    ): void {
        Style::use(false, $fahrenheitFirst);

        self::assertEqualsWithDelta($celsius, Quantity::Temperature->read($typed), 0.001);
        self::assertEqualsWithDelta($celsius, Quantity::Thermometer->read($typed), 0.001);
    }
}
