<?php

declare(strict_types=1);

namespace Rheacid\Core\Forecast;

use Rheacid\Core\Maths\NonlinearFit;
use Rheacid\Core\Maths\StudentT;

/**
 * A curve of pH read as lo + (hi − lo)/(1 + exp((t − m)/s)): the least squares of all that fall, not the first stop.
 *
 * For a given middle and scale the two levels follow from a straight line, so only those two are searched (variable
 * projection, Golub and Pereyra 1973, from memory): over a grid that reaches far beyond the record, then by simplex steps
 * (Nelder and Mead 1965, from memory), and polished with all four. Tested against SciPy on thousands of drawn ferments.
 */
final readonly class FallingSigmoid
{
    private const CONFIDENCE = 0.9;

    /** Scales that are searched, as shares of the record, and how many. */
    private const SCALES = [0.004, 12.0, 22];

    /** Middles within the record, and those beyond it in multiples of the scale. */
    private const WITHIN = 28;
    private const BEYOND = [0.7, 1.5, 3.0, 6.0, 12.0, 24.0];

    /** The best of so many places on the grid are followed. */
    private const FOLLOWED = 6;
    private const SIMPLEX_STEPS = 240;

    /** The polished fit is kept where it is no worse than the searched one. */
    private const AS_GOOD = 1.0 + 1e-9;

    /** @param NonlinearFit|null $polished null where the readings do not tell every parameter */
    private function __construct(
        public float $low,
        public float $high,
        public float $middle,
        public float $scale,
        public float $squares,
        private ?NonlinearFit $polished,
        private int $count,
    ) {}

    /**
     * @param non-empty-list<array{float, float}> $readings [hours, pH], times strictly increasing, five or more
     *
     * @return self|null null where nothing that falls fits
     */
    public static function through(array $readings): ?self
    {
        $hours = array_column($readings, 0);
        $ph = array_column($readings, 1);
        $mean = array_sum($ph) / count($ph);
        $beyond = array_map(static fn(float $one): float => $one - $mean, $ph);
        $best = null;
        foreach (self::starts($hours, $beyond) as $start) {
            $found = self::follow($hours, $beyond, $start);
            if ($best === null || $found[0] < $best[0]) {
                $best = $found;
            }
        }
        if ($best === null) {
            return null;
        }
        [$squares, $middle, $scale] = $best;
        [, $low, $high] = self::levels($hours, $beyond, $middle, $scale) ?? [0.0, 0.0, 0.0];
        [$low, $high] = [$mean + $low, $mean + $high];
        $polished = NonlinearFit::of($hours, $ph, self::curve(...), [$low, $high, $middle, $scale]);
        if (
            $polished === null
            || $polished->squares > $squares * self::AS_GOOD + 1e-24
            || $polished->parameters[0] >= $polished->parameters[1]
            || $polished->parameters[3] <= 0
        ) {
            return new self($low, $high, $middle, $scale, $squares, null, count($readings));
        }

        [$low, $high, $middle, $scale] = $polished->parameters;

        return new self($low, $high, $middle, $scale, $polished->squares, $polished, count($readings));
    }

    /** Hours at which it comes down to a pH between its levels. */
    public function reaches(float $ph): float
    {
        return $this->middle + $this->scale * log(($this->high - $ph) / ($ph - $this->low));
    }

    /** Half of the 90 % interval of that moment, by the delta method; infinite where the readings do not tell. */
    public function halfWidthAt(float $ph): float
    {
        return $this->half([
            $this->scale / ($ph - $this->low),
            $this->scale / ($this->high - $ph),
            1.0,
            ($this->reaches($ph) - $this->middle) / $this->scale,
        ]);
    }

    /** Half of the 90 % interval of the level at which it becomes stable, in pH. */
    public function lowHalfWidth(): float
    {
        return $this->half([1.0, 0.0, 0.0, 0.0]);
    }

    /** @param list<float> $gradient */
    private function half(array $gradient): float
    {
        return $this->polished === null
            ? INF
            : StudentT::quantile((1 + self::CONFIDENCE) / 2, $this->count - 4) * $this->polished->standardError($gradient);
    }

    /**
     * @param non-empty-list<float> $hours
     * @param non-empty-list<float> $beyond pH less its mean
     *
     * @return list<array{float, float, float}> sum of squares, middle, scale: the best places of the grid, one a neighbourhood
     */
    private static function starts(array $hours, array $beyond): array
    {
        [$first, $last] = [$hours[0], $hours[count($hours) - 1]];
        $span = $last - $first;
        [$least, $most, $steps] = self::SCALES;
        $found = [];
        for ($i = 0; $i < $steps; $i++) {
            $scale = $span * $least * ($most / $least) ** ($i / ($steps - 1));
            $middles = array_map(static fn(int $j): float => $first + ($span * $j) / self::WITHIN, range(0, self::WITHIN));
            foreach (self::BEYOND as $times) {
                array_push($middles, $first - $times * $scale, $last + $times * $scale);
            }
            // exp((t − m)/s) = exp((t − t₁)/s) · exp((t₁ − m)/s): the first is worked out once a scale. No exponent is beyond ±500.
            $grown = array_map(static fn(float $at): float => exp(($at - $first) / $scale), $hours);
            foreach ($middles as $middle) {
                $squares = self::squares($grown, exp(($first - $middle) / $scale), $beyond);
                if ($squares !== null) {
                    $found[] = [$squares, $middle, $scale];
                }
            }
        }
        sort($found);
        $apart = [];
        foreach ($found as $one) {
            $isNear = array_filter(
                $apart,
                static fn(array $other): bool => abs(log($other[2] / $one[2])) < 0.8
                    && abs($other[1] - $one[1]) < 0.08 * $span + 0.8 * $one[2],
            );
            if ($isNear === []) {
                $apart[] = $one;
            }
            if (count($apart) === self::FOLLOWED) {
                break;
            }
        }

        return $apart;
    }

    /**
     * The sum of squares that the best levels leave, well enough to tell one place of the grid from another.
     *
     * @param non-empty-list<float> $grown exp((t − t₁)/s)
     * @param float $by exp((t₁ − m)/s)
     * @param non-empty-list<float> $beyond pH less its mean
     *
     * @return float|null null where the curve would rise, or hardly changes over the record
     */
    private static function squares(array $grown, float $by, array $beyond): ?float
    {
        // Far from its middle the share is told by whichever of it and its complement is small.
        $isTail = $grown[0] * $by * $grown[count($grown) - 1] * $by < 1;
        $sumX = $sumXx = $xy = $yy = 0.0;
        foreach ($grown as $i => $one) {
            $x = $isTail ? ($one * $by) / (1 + $one * $by) : 1 / (1 + $one * $by);
            $y = $beyond[$i];
            $sumX += $x;
            $sumXx += $x * $x;
            $xy += $x * $y;
            $yy += $y * $y;
        }
        $xx = $sumXx - ($sumX * $sumX) / count($grown);

        return $xx <= 1e-12 * $sumXx || ($isTail ? -$xy : $xy) <= 0 ? null : $yy - ($xy * $xy) / $xx;
    }

    /**
     * Simplex steps over the middle, in scales, and the logarithm of the scale.
     *
     * @param non-empty-list<float> $hours
     * @param non-empty-list<float> $beyond pH less its mean
     * @param array{float, float, float} $start
     *
     * @return array{float, float, float}
     */
    private static function follow(array $hours, array $beyond, array $start): array
    {
        [, $middle, $scale] = $start;
        $at = static function (float $x, float $y) use ($hours, $beyond, $middle, $scale): array {
            [$m, $s] = [$middle + $scale * $x, $scale * exp($y)];

            return [self::levels($hours, $beyond, $m, $s)[0] ?? INF, $x, $y];
        };
        $simplex = [$at(0.0, 0.0), $at(0.3, 0.0), $at(0.0, 0.15)];
        for ($step = 0; $step < self::SIMPLEX_STEPS; $step++) {
            sort($simplex);
            [$best, $good, $worst] = $simplex;
            if ($worst[0] - $best[0] <= 1e-15 * $best[0] && abs($worst[1] - $best[1]) + abs($worst[2] - $best[2]) < 1e-9) {
                break;
            }
            [$cx, $cy] = [($best[1] + $good[1]) / 2, ($best[2] + $good[2]) / 2];
            $towards = static fn(float $far): array => $at($cx + $far * ($cx - $worst[1]), $cy + $far * ($cy - $worst[2]));
            $reflected = $towards(1.0);
            if ($reflected[0] < $best[0]) {
                $expanded = $towards(2.0);
                $simplex[2] = $expanded[0] < $reflected[0] ? $expanded : $reflected;
            } elseif ($reflected[0] < $good[0]) {
                $simplex[2] = $reflected;
            } else {
                $contracted = $reflected[0] < $worst[0] ? $towards(0.5) : $towards(-0.5);
                $simplex
                    = $contracted[0] < min($worst[0], $reflected[0])
                        ? [$best, $good, $contracted]
                        : [
                            $best,
                            ...array_map(static fn(array $one): array => $at(($one[1] + $best[1]) / 2, ($one[2] + $best[2]) / 2), [
                                $good,
                                $worst,
                            ]),
                        ];
            }
        }
        sort($simplex);

        return [$simplex[0][0], $middle + $scale * $simplex[0][1], $scale * exp($simplex[0][2])];
    }

    /**
     * The least squares over both levels, for a given middle and scale.
     *
     * @param non-empty-list<float> $hours
     * @param non-empty-list<float> $beyond pH less its mean
     *
     * @return array{float, float, float}|null sum of squares, lowest and highest pH less the mean; null where it would rise
     */
    private static function levels(array $hours, array $beyond, float $middle, float $scale): ?array
    {
        $count = count($hours);
        // Far from its middle the share is told by whichever of it and its complement is small, so that no digit is lost.
        $isTail = $hours[0] + $hours[$count - 1] < 2 * $middle;
        $by = $isTail ? -$scale : $scale;
        $share = [];
        $sum = 0.0;
        foreach ($hours as $at) {
            $sum += $share[] = 1 / (1 + exp(($at - $middle) / $by));
        }
        $mean = $sum / $count;
        $xx = $xy = 0.0;
        foreach ($share as $i => $x) {
            $share[$i] = $x -= $mean;
            $xx += $x * $x;
            $xy += $x * $beyond[$i];
        }
        if ($xx < 1e-300) {
            return null;
        }
        $slope = $xy / $xx;
        $drop = $isTail ? -$slope : $slope;
        if ($drop <= 0) {
            return null;
        }
        $squares = 0.0;
        foreach ($share as $i => $x) {
            $left = $beyond[$i] - $slope * $x;
            $squares += $left * $left;
        }
        $start = -$slope * $mean;

        return [$squares, $isTail ? $start - $drop : $start, $isTail ? $start : $start + $drop];
    }

    /**
     * @param list<float> $at lowest pH, highest pH, hours at the middle, hours of scale
     *
     * @return array{float, list<float>}
     */
    private static function curve(array $at, float $hours): array
    {
        [$low, $high, $middle, $scale] = $at;
        $share = 1 / (1 + exp(min(700.0, max(-700.0, ($hours - $middle) / $scale))));
        $steep = (($high - $low) * $share * (1 - $share)) / $scale;

        return [$low + ($high - $low) * $share, [1 - $share, $share, $steep, ($steep * ($hours - $middle)) / $scale]];
    }
}
