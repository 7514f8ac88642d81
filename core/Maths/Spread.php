<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/** Spreads as standard deviations. Source: JCGM 100:2008 (GUM), 4.2 and 4.3.7. */
final class Spread
{
    /**
     * Sample standard deviation; 0 for a single value.
     *
     * @param non-empty-list<float> $values
     */
    public static function deviation(array $values): float
    {
        $n = count($values);
        if ($n === 1) {
            return 0.0;
        }
        $mean = array_sum($values) / $n;

        return sqrt(array_sum(array_map(static fn(float $value): float => ($value - $mean) ** 2, $values)) / ($n - 1));
    }

    /** Standard uncertainty of what lies anywhere within ± a half-width, none of it likelier. */
    public static function ofBound(float $halfWidth): float
    {
        return $halfWidth / sqrt(3);
    }

    /** Standard uncertainty of what a display rounds to its last digit. */
    public static function ofDigit(float $digit): float
    {
        return self::ofBound($digit / 2);
    }
}
