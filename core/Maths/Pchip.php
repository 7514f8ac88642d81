<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/**
 * Monotone piecewise cubic interpolation (PCHIP): it passes through every point and never overshoots between them.
 *
 * Inside, the slope is the weighted harmonic mean of the neighbouring secants; at the ends a shape-preserving
 * three-point formula. Source: F. N. Fritsch and J. Butland, SIAM J. Sci. Stat. Comput. 5 (1984) 300–304, in the form
 * used by SciPy's PchipInterpolator, against which it is tested.
 */
final readonly class Pchip
{
    /**
     * @param list<float> $x
     * @param list<float> $y
     * @param list<float> $slopes
     */
    private function __construct(private array $x, private array $y, private array $slopes) {}

    /**
     * @param list<array{float, float}> $points x strictly increasing, at least two
     *
     * @throws TooFewPoints|TableNotIncreasing if it is no such table
     */
    public static function through(array $points): self
    {
        $x = array_column($points, 0);
        $y = array_column($points, 1);
        if (count($x) < 2) {
            throw new TooFewPoints();
        }
        for ($i = 1; $i < count($x); $i++) {
            if ($x[$i] <= $x[$i - 1]) {
                throw new TableNotIncreasing($i);
            }
        }

        return new self($x, $y, self::slopes($x, $y));
    }

    /** @throws OutsideTable if x is outside the table: there is no guess beyond it */
    public function at(float $x): float
    {
        $last = count($this->x) - 1;
        if ($x < $this->x[0] || $x > $this->x[$last]) {
            throw new OutsideTable($x, $this->x[0], $this->x[$last]);
        }
        $i = 0;
        while ($i < $last - 1 && $x > $this->x[$i + 1]) {
            $i++;
        }
        $h = $this->x[$i + 1] - $this->x[$i];
        $t = ($x - $this->x[$i]) / $h;

        return (1 + 2 * $t) * (1 - $t) ** 2 * $this->y[$i]
            + $t * (1 - $t) ** 2 * $h * $this->slopes[$i]
            + $t ** 2 * (3 - 2 * $t) * $this->y[$i + 1]
            + $t ** 2 * ($t - 1) * $h * $this->slopes[$i + 1];
    }

    /**
     * @param list<float> $x
     * @param list<float> $y
     *
     * @return list<float>
     */
    private static function slopes(array $x, array $y): array
    {
        $h = [];
        $secant = [];
        for ($i = 0; $i < count($x) - 1; $i++) {
            $h[] = $x[$i + 1] - $x[$i];
            $secant[] = ($y[$i + 1] - $y[$i]) / $h[$i];
        }
        $last = count($h) - 1;
        if ($last === 0) {
            return [$secant[0], $secant[0]];
        }
        $slopes = [self::endSlope($h[0], $h[1], $secant[0], $secant[1])];
        for ($i = 1; $i <= $last; $i++) {
            $left = 2 * $h[$i] + $h[$i - 1];
            $right = $h[$i] + 2 * $h[$i - 1];
            $slopes[] = $secant[$i - 1] * $secant[$i] <= 0
                ? 0.0
                : ($left + $right) / ($left / $secant[$i - 1] + $right / $secant[$i]);
        }
        [$nextH, $nearH] = array_slice($h, -2);
        [$nextSecant, $nearSecant] = array_slice($secant, -2);
        $slopes[] = self::endSlope($nearH, $nextH, $nearSecant, $nextSecant);

        return $slopes;
    }

    private static function endSlope(float $near, float $next, float $nearSecant, float $nextSecant): float
    {
        $slope = ((2 * $near + $next) * $nearSecant - $near * $nextSecant) / ($near + $next);
        if ($slope * $nearSecant <= 0) {
            return 0.0;
        }

        return $nearSecant * $nextSecant <= 0 && abs($slope) > 3 * abs($nearSecant) ? 3 * $nearSecant : $slope;
    }
}
