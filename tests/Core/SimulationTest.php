<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Simulation\ElectrodeCondition;
use Rheacid\Core\Simulation\SimulatedImmersion;

final class SimulationTest extends TestCase
{
    public function test_the_same_seed_gives_the_same_trace_and_a_longer_look_begins_the_same(): void
    {
        $short = self::immersed(4.0, seed: 3)->trace(40)->points;

        self::assertSame($short, self::immersed(4.0, seed: 3)->trace(40)->points);
        self::assertSame($short, array_slice(self::immersed(4.0, seed: 3)->trace(90)->points, 0, 41));
        self::assertNotSame($short, self::immersed(4.0, seed: 4)->trace(40)->points);
    }

    public function test_a_calibration_at_the_simulated_bench_finds_the_true_slope_and_offset(): void
    {
        $points = [];
        foreach ([7.0, 4.0] as $seed => $ph) {
            $progress = self::immersed($ph, seed: $seed)->trace(240)->progress(null);
            self::assertTrue($progress->settled);
            $points[] = new CalibrationPoint($ph, $progress->mv, $progress->celsius);
        }

        $fit = CalibrationFit::through($points);

        self::assertEqualsWithDelta(96.0, $fit->segments[0]->percent(), 0.3);
        self::assertEqualsWithDelta(-5.0, $fit->neutral()->offsetMv, 0.3);
    }

    public function test_a_coated_glass_comes_to_rest_later(): void
    {
        self::assertGreaterThan(2 * self::restAt(0.0), self::restAt(0.4));
    }

    private static function restAt(float $slowShare): float
    {
        return (float) self::immersed(4.0, slowShare: $slowShare)->trace(400)->progress(null)->settling->settledAtS;
    }

    private static function immersed(float $ph, int $seed = 1, float $slowShare = 0.05): SimulatedImmersion
    {
        return new SimulatedImmersion(new ElectrodeCondition(0.96, -5.0, 6.0, $slowShare, 40.0, 0.1, 0.0, 11), $ph, 21.0, 0.0, $seed);
    }
}
