<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** Salt by weighing: of everything together, or of the brine alone. Two numbers that are easily mistaken for one another. */
final class Brine
{
    /** g of salt, so that it is so much of food, water and salt together. */
    public static function ofTotal(float $percent, float $foodG, float $waterG): float
    {
        return ($foodG + $waterG) * $percent / (100 - $percent);
    }

    /** g of salt, so that it is so much of the brine. */
    public static function ofBrine(float $percent, float $waterG): float
    {
        return $waterG * $percent / (100 - $percent);
    }
}
