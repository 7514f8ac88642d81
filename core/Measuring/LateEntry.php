<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

/** A reading that was written on paper first: it counts, and it says so. */
final class LateEntry
{
    /** Longer after it was read it is marked. Common practice, no source. */
    private const MINUTES = 30;

    public static function isLate(\DateTimeInterface $observedAt, \DateTimeInterface $enteredAt): bool
    {
        return $enteredAt->getTimestamp() - $observedAt->getTimestamp() > self::MINUTES * 60;
    }
}
