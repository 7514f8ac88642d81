<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Simulation\ElectrodeCondition;
use Rheacid\Core\Simulation\SimulatedBurette;
use Rheacid\Core\Simulation\SimulatedImmersion;
use Rheacid\Core\Simulation\SimulatedSample;

/** A sample whose true answer is known: gas, pieces, paste, and the burette over it. */
final class SimulatedSampleTest extends TestCase
{
    public function test_gas_lowers_the_reading_until_it_is_removed(): void
    {
        $beer = SimulatedSample::of(Matrix::Sparkling, 4.3);
        $read = array_map($beer->ph(...), range(0, 8));
        $sorted = $read;
        sort($sorted);

        self::assertSame($sorted, $read);
        self::assertLessThan(4.2, $read[0]);
        self::assertEqualsWithDelta(4.3, $read[8], 0.0005);
        self::assertEqualsWithDelta(5.5, SimulatedSample::of(Matrix::Still, 5.5)->ph(), 1e-9, 'without gas it is what it is');
    }

    public function test_pieces_lag_behind_their_brine_and_a_paste_settles_slowly_until_it_is_stirred_into_water(): void
    {
        $kraut = SimulatedSample::of(Matrix::Brined, 3.9);
        self::assertEqualsWithDelta(0.35, $kraut->ph(isPieces: true) - $kraut->ph(), 1e-9);

        $glass = new ElectrodeCondition(0.98, -3, 8, 0.1, 30, 0, 0, 7);
        $rice = SimulatedSample::of(Matrix::Slurry, 4.2);
        $after = static fn(ElectrodeCondition $electrode): float => (new SimulatedImmersion($electrode, 4.2, 21, 0, 1))->trace(40)
            ->points[40][1];
        $rest = (new SimulatedImmersion($glass, 4.2, 21, 0, 1))->restMv();
        self::assertGreaterThan(10.0, abs($after($rice->slows($glass, false)) - $rest));
        self::assertLessThan(6.0, abs($after($rice->slows($glass, true)) - $rest));
    }

    public function test_the_burette_takes_small_steps_where_the_curve_is_steep_and_stops_past_every_endpoint(): void
    {
        $solution = SimulatedSample::of(Matrix::Still, 3.4)->solution();
        $burette = new SimulatedBurette($solution, 10, 0.1);
        $whole = $burette->points(1e6);
        $near = array_values(array_filter($whole, static fn(array $point): bool => $point[1] > 6 && $point[1] < 9.5));

        self::assertCount(1, $burette->points(14.9));
        self::assertSame(array_slice($whole, 0, 3), $burette->points(30));
        self::assertEqualsWithDelta(0.5, $whole[1][0], 1e-9);
        self::assertEqualsWithDelta(0.05, $near[1][0] - $near[0][0], 1e-9);
        self::assertGreaterThan(10.0, $whole[count($whole) - 1][1]);
        self::assertLessThan(10.0, $whole[count($whole) - 2][1]);
        self::assertSame(
            [true, false, false],
            [SimulatedBurette::isPast($whole), SimulatedBurette::isEmpty($whole), SimulatedBurette::isPast($burette->points(30))],
        );

        $short = (new SimulatedBurette($solution, 100, 0.02))->points(1e6);
        self::assertSame([false, true], [SimulatedBurette::isPast($short), SimulatedBurette::isEmpty($short)]);
    }
}
