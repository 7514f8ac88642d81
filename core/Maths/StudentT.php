<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/**
 * Student's t distribution. The cumulative function by the incomplete beta function (continued fraction, modified Lentz
 * algorithm; Abramowitz and Stegun, 26.5.8 and 26.7.1, from memory), the quantile by halving. Tested against SciPy.
 */
final class StudentT
{
    private const STEPS = 300;

    /**
     * @param float $probability 0.5 to below 1
     * @param int $freedom degrees of freedom, 1 or more
     *
     * @return float the t below which that share of the distribution lies
     */
    public static function quantile(float $probability, int $freedom): float
    {
        assert($probability >= 0.5 && $probability < 1 && $freedom >= 1);
        $low = 0.0;
        $high = 1.0;
        while (self::below($high, $freedom) < $probability) {
            $high *= 2;
        }
        for ($i = 0; $i < self::STEPS && $high - $low > 1e-15 * $high; $i++) {
            $middle = ($low + $high) / 2;
            self::below($middle, $freedom) < $probability ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
    }

    /** Share of the distribution below t, for t of 0 or more. */
    private static function below(float $t, int $freedom): float
    {
        return 1 - self::incompleteBeta($freedom / ($freedom + $t * $t), $freedom / 2, 0.5) / 2;
    }

    private static function incompleteBeta(float $x, float $a, float $b): float
    {
        // The fraction converges fast below the mean; above it the mirrored one does.
        return $x < ($a + 1) / ($a + $b + 2)
            ? (self::front($x, $a, $b) * self::fraction($x, $a, $b)) / $a
            : 1 - (self::front($x, $a, $b) * self::fraction(1 - $x, $b, $a)) / $b;
    }

    private static function front(float $x, float $a, float $b): float
    {
        return exp($a * log($x) + $b * log(1 - $x) + self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b));
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $d = 1 / (1 - (($a + $b) * $x) / ($a + 1));
        $c = 1.0;
        $value = $d;
        for ($m = 1; $m < self::STEPS; $m++) {
            foreach (
                [
                    ($m * ($b - $m) * $x) / (($a + 2 * $m - 1) * ($a + 2 * $m)),
                    (-($a + $m) * ($a + $b + $m) * $x) / (($a + 2 * $m) * ($a + 2 * $m + 1)),
                ] as $term
            ) {
                $d = 1 / (1 + $term * $d);
                $c = 1 + $term / $c;
                $value *= $c * $d;
            }
            if (abs($c * $d - 1) < 1e-16) {
                break;
            }
        }

        return $value;
    }

    /** ln Γ of a multiple of one half, by its recurrence: exact enough for any number of degrees of freedom met here. */
    private static function logGamma(float $x): float
    {
        $sum = fmod($x, 1.0) === 0.0 ? 0.0 : log(M_PI) / 2;
        for ($y = fmod($x, 1.0) === 0.0 ? 1.0 : 0.5; $y < $x; $y++) {
            $sum += log($y);
        }

        return $sum;
    }
}
