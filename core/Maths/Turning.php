<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/** Where a parabola turns. */
final class Turning
{
    /**
     * The vertex of the parabola through three points, x increasing, the middle one the highest; where the three lie level, the middle one.
     *
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     */
    public static function point(array $a, array $b, array $c): float
    {
        [$left, $right] = [($b[1] - $a[1]) / ($b[0] - $a[0]), ($c[1] - $b[1]) / ($c[0] - $b[0])];
        $bend = ($right - $left) / ($c[0] - $a[0]);

        return $bend === 0.0 ? $b[0] : ($a[0] + $b[0]) / 2 - $left / (2 * $bend);
    }
}
