<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Numbers;

/** Alkali that clings to an electrode raises an acid, weakly buffered sample. Common practice, no source. */
final class Rinse
{
    /** pH of a cup after which the rinse is confirmed before food is read. */
    private const ALKALINE_PH = 9.0;

    /** h: after that it was rinsed and stored. */
    public const HOURS = 12;

    /** @param float|null $lastPh of the buffer in which the electrode stood last; null where that was food, or long ago */
    public static function isAsked(?float $lastPh): bool
    {
        return $lastPh !== null && Numbers::atLeast($lastPh, self::ALKALINE_PH);
    }
}
