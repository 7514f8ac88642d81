<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

use Rheacid\Core\Numbers;

/** A first reading checked with another instrument: where they differ, no repeating until one passes. Common practice, no source. */
final class SecondInstrument
{
    public const DIFFER_PH = 0.1;

    /**
     * @param list<array{instrument: int, ph: float}> $readings since the batch was held, in the order of drawing
     *
     * @return bool the newest differs from one by another instrument, and no third instrument has read it since the first
     */
    public static function disagrees(array $readings): bool
    {
        $byInstrument = array_column($readings, 'ph', 'instrument');
        if (count($byInstrument) !== 2) {
            return false;
        }

        return !Numbers::atMost(max($byInstrument) - min($byInstrument), self::DIFFER_PH);
    }
}
