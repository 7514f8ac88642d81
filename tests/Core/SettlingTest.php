<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\TimesNotIncreasing;

final class SettlingTest extends TestCase
{
    public function test_thirty_seconds_within_0_02_is_settled_and_a_second_less_is_not(): void
    {
        self::assertTrue(Settling::of([[0.0, 7.0], [30.0, 7.02]])->settled);
        self::assertFalse(Settling::of([[0.0, 7.0], [29.0, 7.0]])->settled);
        self::assertFalse(Settling::of([[0.0, 7.0], [30.0, 7.0201]])->settled);
    }

    public function test_the_first_stable_moment_is_reported_even_if_the_reading_moved_again(): void
    {
        $settling = Settling::of([[0.0, 7.0], [15.0, 7.0], [30.0, 7.01], [45.0, 7.5]]);

        self::assertSame(30.0, $settling->settledAtS);
        self::assertFalse($settling->settled);
        self::assertNull($settling->responseTimeS);
    }

    public function test_the_response_is_the_first_moment_from_which_it_stayed_near_its_end(): void
    {
        $points = [[0.0, 4.5], [10.0, 4.2], [20.0, 4.009], [30.0, 4.0], [40.0, 4.0], [50.0, 4.0]];

        // Mean of the last 30 s is 4.00225; 4.009 lies within 0.01 of it, 4.2 does not.
        self::assertSame(20.0, Settling::of($points)->responseTimeS);
    }

    public function test_drift_is_given_per_minute_over_the_last_window(): void
    {
        $settling = Settling::of([[0.0, 9.0], [10.0, 4.00], [20.0, 4.01], [30.0, 4.02], [40.0, 4.03]]);

        self::assertEqualsWithDelta(0.06, $settling->driftPerMinute, 1e-9);
        self::assertNull(Settling::of([[0.0, 4.0]])->driftPerMinute);
    }

    public function test_times_that_do_not_increase_are_refused_with_their_place(): void
    {
        try {
            Settling::of([[0.0, 1.0], [1.0, 1.0], [1.0, 1.0]]);
            self::fail('It was not refused.');
        } catch (Contradiction $refusal) {
            self::assertInstanceOf(TimesNotIncreasing::class, $refusal);
            self::assertSame(2, $refusal->index);
        }
    }

    public function test_a_long_log_is_judged_in_one_pass(): void
    {
        $points = array_map(static fn(int $t): array => [(float) $t, 7.0 + 0.001 * ($t % 3)], range(0, 99_999));

        self::assertSame(30.0, Settling::of($points)->settledAtS);
    }

    public function test_the_person_sees_how_long_it_must_still_be_stable(): void
    {
        $still = self::trace(20, static fn(int $t): float => 170.0);
        $moving = self::trace(60, static fn(int $t): float => 170.0 + max(0, 41 - $t));

        self::assertSame(10.0, $still->progress(null)->waitS);
        self::assertFalse($moving->progress(null)->settled);
        self::assertSame(10.0, $moving->progress(null)->waitS, 'within 0.02 pH (1.2 mV) since second 40');
        self::assertSame(0.0, self::trace(30, static fn(int $t): float => 170.0)->progress(null)->waitS);
    }

    public function test_twenty_points_without_a_gap_are_needed_to_prove_rest(): void
    {
        $sparse = Trace::of(array_map(static fn(int $i): array => [2.0 * $i, 170.0, 25.0], range(0, 16)));
        $gap = Trace::of(array_map(static fn(int $t): array => [(float) $t + ($t > 20 ? 4.0 : 0.0), 170.0, 25.0], range(0, 40)));

        self::assertFalse($sparse->progress(null)->settled, '16 points in the window');
        self::assertFalse($gap->progress(null)->settled, 'five seconds without a point');
    }

    public function test_a_settled_reading_is_the_mean_of_its_window_and_an_early_one_the_last_value(): void
    {
        $settled = self::trace(40, static fn(int $t): float => 170.0 + ($t % 2) * 0.2)->progress(null);
        $early = self::trace(10, static fn(int $t): float => 170.0 - $t)->progress(null);

        self::assertEqualsWithDelta(170.097, $settled->mv, 0.001);
        self::assertSame(160.0, $early->mv);
    }

    /** @param callable(int): float $mv */
    private static function trace(int $seconds, callable $mv): Trace
    {
        return Trace::of(array_map(static fn(int $t): array => [(float) $t, $mv($t), 25.0], range(0, $seconds)));
    }

    public function test_a_reading_for_a_binding_limit_is_stable_for_a_minute(): void
    {
        self::assertSame([30.0, 60.0, 90.0], [Settling::windowS(30, false), Settling::windowS(30, true), Settling::windowS(90, true)]);
    }

    public function test_how_long_it_stands_still_is_told_by_the_highest_and_the_lowest_of_that_time(): void
    {
        // 3.985 to 4.005 is the band, 3.985 to 4.006 is more.
        $for = static fn(float $first): float => Settling::of([[0.0, $first], [10.0, 3.985], [20.0, 4.0], [40.0, 4.0]])->stillForS;

        self::assertSame([40.0, 30.0], [$for(4.005), $for(4.006)]);
    }
}
