<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Electrode\Buffer;

final class BufferTest extends TestCase
{
    public function test_at_a_printed_temperature_the_printed_value_is_given(): void
    {
        self::assertEqualsWithDelta(7.02, Buffer::named('technical-7.00')->phAt(20), 1e-12);
        self::assertEqualsWithDelta(9.225, Buffer::named('borax-9.18')->phAt(20), 1e-12);
    }

    public function test_between_two_printed_values_it_never_leaves_them(): void
    {
        foreach ([20.5, 22.0, 24.9] as $celsius) {
            $ph = Buffer::named('technical-7.00')->phAt($celsius);

            self::assertGreaterThan(7.00, $ph);
            self::assertLessThan(7.02, $ph);
        }
    }

    public function test_outside_the_table_there_is_no_guess(): void
    {
        $this->expectException(BeyondRange::class);
        $this->expectExceptionMessage('24.9 °C is outside the range 25 to 50 °C.');

        Buffer::named('tartrate')->phAt(24.9);
    }

    public function test_a_bottles_own_table_of_two_points_is_a_line(): void
    {
        self::assertEqualsWithDelta(6.992, Buffer::printed([[20.0, 7.0], [30.0, 6.98]])->phAt(24), 1e-12);
    }

    public function test_a_table_whose_temperatures_do_not_increase_is_refused(): void
    {
        $this->expectException(Contradiction::class);

        Buffer::printed([[20.0, 7.0], [20.0, 6.98]]);
    }

    public function test_an_unknown_buffer_is_answered_with_those_that_are_known(): void
    {
        $this->expectExceptionMessageMatches('/No buffer is called "milk".*borax-9\.18/');

        Buffer::named('milk');
    }
}
