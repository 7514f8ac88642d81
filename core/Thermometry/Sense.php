<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Celsius;

/** Whether typed readings can be what they are said to be, before anything is made of them. */
final class Sense
{
    /** No thermometer that is worth checking is further off. */
    private const FURTHEST_C = 15.0;

    /**
     * @param non-empty-list<float> $readings °C
     * @throws ImpossibleReading if no thermometer shows this in such a bath
     * @throws LooksLikeFahrenheit if the readings look like another unit
     */
    public static function ensure(Reference $reference, array $readings): void
    {
        foreach ($readings as $reading) {
            $asFahrenheit = Celsius::ofFahrenheit($reading);
            $near = static fn(float $celsius): bool => abs($celsius - $reference->celsius) <= self::FURTHEST_C;
            if (!$near($reading) && $near($asFahrenheit)) {
                throw new LooksLikeFahrenheit($reading, $asFahrenheit);
            }
            if (!$near($reading)) {
                throw new ImpossibleReading($reading, $reference->celsius, self::FURTHEST_C);
            }
        }
    }
}
