<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

/** What was read before something was added tells nothing of what there is now. Common practice, no source. */
final class AfterAddition
{
    /** Whether a reading is still awaited: nothing was drawn since the last addition. */
    public static function isReadingAwaited(?\DateTimeInterface $lastAdded, ?\DateTimeInterface $lastDrawn): bool
    {
        return $lastAdded !== null && ($lastDrawn === null || $lastDrawn <= $lastAdded);
    }
}
