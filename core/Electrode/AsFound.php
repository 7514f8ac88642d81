<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/** What the old calibration made of the buffers, before the new one took its place. */
final class AsFound
{
    /**
     * @param list<float|null> $errors pH read by the old calibration minus the buffer's, null where nobody can tell
     * @param float $limitPh what a read-back may be off
     *
     * @return float|null how far earlier readings may be off; null where the old calibration still held
     */
    public static function off(array $errors, float $limitPh): ?float
    {
        $worst = max([0.0, ...array_map(static fn(?float $error): float => abs($error ?? 0.0), $errors)]);

        return Numbers::atMost($worst, $limitPh) ? null : $worst;
    }
}
