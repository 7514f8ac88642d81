<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Numbers;

/** Two liquids blended to a value that simply adds up: acidity, sugar, salt. Not pH, which does not. */
final class Blend
{
    /**
     * @param float|null $thereIsL what there is of the second, L; null where it does not end
     *
     * @return float L of the second
     *
     * @throws CannotBlend
     */
    public static function needs(float $a, float $volumeA, float $b, ?float $thereIsL, float $target): float
    {
        if ($target === $a) {
            return 0.0;
        }
        if ($target === $b || $target < min($a, $b) || $target > max($a, $b)) {
            throw new CannotBlend(
                sprintf('%s cannot be reached by blending %s and %s.', Numbers::plain($target), Numbers::plain($a), Numbers::plain($b)),
                false,
            );
        }
        $needed = ($volumeA * ($a - $target)) / ($target - $b);
        if ($thereIsL !== null && !Numbers::atMost($needed, $thereIsL)) {
            throw new CannotBlend(
                sprintf('%s L are needed, but only %s L are available.', Numbers::plain(round($needed, 3)), Numbers::plain($thereIsL)),
                true,
            );
        }

        return $needed;
    }
}
