<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/**
 * A straight line through a series by ordinary least squares, with the confidence band of the mean line (Student t, n − 2).
 * Source: any textbook of linear regression, from memory; tested against SciPy.
 */
final readonly class TrendLine
{
    private const CONFIDENCE = 0.9;

    private function __construct(
        public float $intercept,
        public float $slope,
        private int $count,
        private float $mean,
        private float $sxx,
        private float $variance,
        public float $last,
    ) {}

    /**
     * @param non-empty-list<float> $x ascending
     * @param non-empty-list<float> $y as many as x
     *
     * @return self|null null where no slope can be calculated
     */
    public static function through(array $x, array $y): ?self
    {
        $line = LeastSquares::line($x, $y);
        if ($line === null) {
            return null;
        }
        $n = count($x);
        $mean = array_sum($x) / $n;
        $scatter = array_sum(array_map(static fn(float $at, float $value): float => ($value - $line->at($at)) ** 2, $x, $y));

        return new self(
            $line->intercept,
            $line->slope,
            $n,
            $mean,
            array_sum(array_map(static fn(float $at): float => ($at - $mean) ** 2, $x)),
            $n > 2 ? $scatter / ($n - 2) : 0.0,
            $x[$n - 1],
        );
    }

    public function at(float $x): float
    {
        return $this->intercept + $this->slope * $x;
    }

    /**
     * Where the line, or an edge of its band, first meets a limit that it is heading for, after the last point.
     *
     * @param int $edge −1 the edge that meets it first, 0 the line, 1 the edge that meets it last
     * @param float $within how far after the last point is looked
     */
    public function meets(float $limit, int $edge, float $within): ?float
    {
        $t = $this->count > 2 ? StudentT::quantile((1 + self::CONFIDENCE) / 2, $this->count - 2) : 0.0;
        $side = $this->slope < 0 ? 1 : -1;
        $left = fn(float $x): float => $side * ($this->at($x) - $limit)
            + $edge * $t * sqrt($this->variance * (1 / $this->count + ($x - $this->mean) ** 2 / $this->sxx));
        if ($left($this->last) <= 0) {
            return null;
        }
        $end = $this->last + $within;
        $low = $this->last;
        $high = $this->last + 1;
        // The last edge may come near and turn away again, so the way is walked step by step before it is halved.
        while ($left($high) > 0) {
            if ($high >= $end) {
                return null;
            }
            $low = $high;
            $high = min($high + 1, $end);
        }
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            $left($middle) > 0 ? ($low = $middle) : ($high = $middle);
        }

        return $high;
    }
}
