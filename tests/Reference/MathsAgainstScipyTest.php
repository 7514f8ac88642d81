<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rheacid\Core\Maths\CurveBand;
use Rheacid\Core\Maths\LeastSquares;
use Rheacid\Core\Maths\Pchip;
use Rheacid\Core\Maths\StudentT;

/** Our small routines against scipy.interpolate.PchipInterpolator, scipy.stats.linregress and scipy.stats.t, on 500 random inputs. */
final class MathsAgainstScipyTest extends TestCase
{
    public function test_our_routines_agree_with_scipy(): void
    {
        $random = new Randomizer(new Mt19937(20261125));
        $cases = [];
        for ($i = 0; $i < 500; $i++) {
            $x = 0.0;
            $points = [];
            for ($j = 0; $j < $random->getInt(2, 9); $j++) {
                $x += $random->getInt(1, 300) / 100;
                $points[] = [$x, $random->getInt(-500, 500) / 100];
            }
            $at = $points[0][0] + (($x - $points[0][0]) * $random->getInt(0, 1000)) / 1000;
            $cases[] = [
                'points' => $points,
                'at' => $at,
                'probability' => 0.5 + $random->getInt(1, 498) / 1000,
                'freedom' => $random->getInt(1, $random->getInt(1, 60)),
            ];
        }

        foreach (Python::run('maths.py', $cases) as $i => $expected) {
            $points = $cases[$i]['points'];
            $line = LeastSquares::line(array_column($points, 0), array_column($points, 1));
            self::assertNotNull($line);
            $where = json_encode($cases[$i]) ?: '';
            self::assertEqualsWithDelta($expected['pchip'], Pchip::through($points)->at($cases[$i]['at']), 1e-10, $where);
            // SciPy's own quantile is off by up to 2e-9: its cumulative function says so.
            self::assertEqualsWithDelta(
                $expected['t'],
                StudentT::quantile($cases[$i]['probability'], $cases[$i]['freedom']),
                1e-8 * max(1.0, $expected['t']),
                $where,
            );
            self::assertEqualsWithDelta($expected['slope'], $line->slope, 1e-9, $where);
            self::assertEqualsWithDelta($expected['intercept'], $line->intercept, 1e-9, $where);
        }
    }

    public function test_where_earlier_batches_ran_is_numpys_interpolation_and_percentiles(): void
    {
        $random = new Randomizer(new Mt19937(20261127));
        $cases = [];
        for ($i = 0; $i < 60; $i++) {
            $courses = [];
            for ($course = 0; $course < $random->getInt(1, 8); $course++) {
                $hours = $random->getInt(0, 20);
                $courses[] = array_map(static function () use ($random, &$hours): array {
                    return [(float) ($hours += $random->getInt(1, 40)), $random->getInt(300, 650) / 100];
                }, range(1, $random->getInt(2, 9)));
            }
            $cases[] = ['courses' => $courses, 'at' => array_map(static fn(int $step): float => $step * 12.5, range(0, 8))];
        }

        $told = 0;
        foreach (Python::run('maths.py', $cases) as $i => $expected) {
            $band = [];
            foreach (CurveBand::of($cases[$i]['courses'], 0.0, 100.0, 9) as $one) {
                $band[sprintf('%.1f', $one['at'])] = [$one['low'], $one['median'], $one['high']];
            }
            self::assertSame(count(array_filter($expected)), count($band));
            foreach (array_filter($expected) as $j => $quartiles) {
                $told++;
                self::assertEqualsWithDelta(
                    $quartiles,
                    $band[sprintf('%.1f', $cases[$i]['at'][$j])] ?? null,
                    1e-9,
                    "$i at {$cases[$i]['at'][$j]}",
                );
            }
        }
        self::assertGreaterThan(50, $told);
    }
}
