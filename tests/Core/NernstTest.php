<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Electrode\Nernst;

final class NernstTest extends TestCase
{
    /** @return iterable<string, array{float}> */
    public static function impossibleTemperatures(): iterable
    {
        yield 'a step below' => [-5.0001];
        yield 'a step above' => [130.0001];
        yield 'not a number' => [NAN];
    }

    #[DataProvider('impossibleTemperatures')]
    public function test_outside_minus_5_to_130_degrees_there_is_no_slope(float $celsius): void
    {
        $this->expectException(BeyondRange::class);
        $this->expectExceptionMessage('−5 to 130 °C');

        Nernst::mvPerPh($celsius);
    }

    public function test_both_ends_of_the_range_are_inside(): void
    {
        self::assertGreaterThan(Nernst::mvPerPh(-5), Nernst::mvPerPh(130));
    }

    public function test_a_meter_that_compensates_for_25_degrees_misreads_a_sample_of_37_degrees(): void
    {
        // By hand: (4 − 7)·(310.15/298.15 − 1) = −0.1207; common practice says "up to 0.1 pH".
        self::assertEqualsWithDelta(-0.1207, Nernst::compensationError(4, 37, 25), 0.00005);
        self::assertSame(0.0, Nernst::compensationError(7, 60, 25));
    }
}
