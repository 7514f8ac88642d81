<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Inconsistent;
use Rheacid\Core\OutOfRange;

/** Whether typed readings can be what they are said to be, before anything is made of them. */
final class Sense
{
    /** No thermometer that is worth checking is further off. */
    private const FURTHEST_C = 15.0;

    /**
     * @param non-empty-list<float> $readings °C
     * @throws OutOfRange if no thermometer shows this in such a bath
     * @throws Inconsistent if the readings look like another unit
     */
    public static function ensure(Reference $reference, array $readings): void
    {
        foreach ($readings as $reading) {
            $asFahrenheit = ($reading - 32) / 1.8;
            $near = static fn(float $celsius): bool => abs($celsius - $reference->celsius) <= self::FURTHEST_C;
            if (!$near($reading) && $near($asFahrenheit)) {
                throw Inconsistent::because(sprintf('%s looks like °F: that would be %.1f °C. Choose °F, or write the unit behind the number.', $reading, $asFahrenheit), 'unit');
            }
            if (!$near($reading)) {
                throw OutOfRange::because(sprintf('%.1f °C cannot be where %.1f °C is expected: readings within %.0f °C of it are accepted. Look at the probe, the plug and the bath.', $reading, $reference->celsius, self::FURTHEST_C), 'readings');
            }
        }
    }
}
