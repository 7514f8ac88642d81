<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/** A straight line through points by ordinary least squares. */
final readonly class LeastSquares
{
    private function __construct(public float $intercept, public float $slope) {}

    /**
     * @param non-empty-list<float> $x
     * @param non-empty-list<float> $y as many as x
     *
     * @return self|null null where every x is the same and no slope can be calculated
     */
    public static function line(array $x, array $y): ?self
    {
        $n = count($x);
        $meanX = array_sum($x) / $n;
        $meanY = array_sum($y) / $n;
        $sxx = 0.0;
        $sxy = 0.0;
        foreach ($x as $i => $value) {
            $sxx += ($value - $meanX) ** 2;
            $sxy += ($value - $meanX) * ($y[$i] - $meanY);
        }
        if ($sxx < 1e-18) {
            return null;
        }
        $slope = $sxy / $sxx;

        return new self($meanY - $slope * $meanX, $slope);
    }

    public function at(float $x): float
    {
        return $this->intercept + $this->slope * $x;
    }
}
