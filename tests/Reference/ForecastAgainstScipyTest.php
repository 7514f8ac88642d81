<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rheacid\Core\Forecast\FallingSigmoid;

/** The curve of a ferment against scipy.optimize.least_squares, on ferments that nobody chose. */
final class ForecastAgainstScipyTest extends TestCase
{
    public function test_of_3000_ferments_none_stops_short_of_the_least_squares(): void
    {
        $random = new Randomizer(new Mt19937(20261127));
        $number = static fn(float $low, float $high): float => $low + (($high - $low) * $random->getInt(0, 1_000_000)) / 1_000_000;
        $ferments = [];
        for ($i = 0; $i < 3000; $i++) {
            [$low, $high, $middle, $scale] = [$number(3.2, 4.6), $number(5.2, 6.2), $number(10, 120), $number(2, 25)];
            $readings = [];
            $hours = 0.0;
            for ($count = $random->getInt(6, 20); count($readings) < $count; $hours += $number(2, 20)) {
                $readings[] = [
                    round($hours, 2),
                    round($low + ($high - $low) / (1 + exp(($hours - $middle) / $scale)) + $number(-0.03, 0.03), 3),
                ];
            }
            $ferments[] = $readings;
        }

        $short = [];
        foreach (Python::run('ferments.py', $ferments) as $i => $least) {
            // Where nothing falls there is no curve, and a level line is the best that SciPy comes near to.
            $ours = FallingSigmoid::through($ferments[$i])->squares ?? self::levelLine($ferments[$i]);
            if ($least !== null && $ours > 1.000001 * $least + 1e-12) {
                $short[] = json_encode([$ours, $least, $ferments[$i]]);
            }
        }

        self::assertSame([], array_slice($short, 0, 3), count($short) . ' of 3000 stop short');
    }

    /** @param list<array{float, float}> $readings */
    private static function levelLine(array $readings): float
    {
        $ph = array_column($readings, 1);
        $mean = array_sum($ph) / count($ph);

        return array_sum(array_map(static fn(float $one): float => ($one - $mean) ** 2, $ph));
    }
}
