<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Numbers;

/**
 * Whether brine and pieces have come to the same acidity: they agree with one another, and with themselves a day before.
 * Common practice, no source.
 */
final class Equilibrium
{
    public const PARTS_AGREE_PH = 0.1;
    public const DAYS_AGREE_PH = 0.05;

    /** A reading a little earlier on the next day is a day later all the same. */
    private const DAY_H = 20.0;

    /**
     * @param array<string, float> $now pH by place, the worst of each
     * @param list<string> $places that the method asks for; fewer than two where the whole is blended
     * @param list<array{hours: float, ph: float}> $before the worst pH of earlier occasions, and how many hours ago
     */
    public static function isProven(array $now, array $places, array $before): bool
    {
        $parts = array_intersect_key($now, array_flip($places));
        if (
            $now === []
            || count($parts) < count($places)
            || ($parts !== [] && !Numbers::atMost(max($parts) - min($parts), self::PARTS_AGREE_PH))
        ) {
            return false;
        }
        foreach ($before as $earlier) {
            if ($earlier['hours'] >= self::DAY_H && Numbers::atMost(abs($earlier['ph'] - max($now)), self::DAYS_AGREE_PH)) {
                return true;
            }
        }

        return false;
    }
}
