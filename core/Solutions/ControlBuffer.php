<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

use Rheacid\Core\Numbers;

/** Which independent buffer checks a calibration best: within what was calibrated, and near what will be judged. */
final class ControlBuffer
{
    /** Beyond the outermost fitted buffers it would check what nobody calibrated. Common practice, no source. */
    private const BEYOND_PH = 0.05;

    /** Of bottles that lie so much nearer no more is made; the first in the list goes before. Common practice, no source. */
    private const AS_NEAR_PH = 0.1;

    /**
     * @param array<array-key, float> $bottles pH by name, those that were not fitted; the better known first
     * @param float $low and $high pH of the outermost fitted buffers
     * @param list<float> $limits pH that will be judged; without any the middle of the range
     *
     * @return list<int|string> names of those that can serve, the best first
     */
    public static function among(array $bottles, float $low, float $high, array $limits): array
    {
        $inside = array_filter(
            $bottles,
            static fn(float $ph): bool => Numbers::atLeast($ph, $low - self::BEYOND_PH) && Numbers::atMost($ph, $high + self::BEYOND_PH),
        );
        $near = $limits === [] ? [($low + $high) / 2] : $limits;
        $distance = static fn(float $ph): float => min(array_map(static fn(float $limit): float => abs($ph - $limit), $near));
        $names = array_keys($inside);
        $best = $inside === [] ? 0.0 : min(array_map($distance, $inside));
        $rank = static fn(int|string $name): float => $distance($inside[$name]) <= $best + self::AS_NEAR_PH
            ? 0.0
            : $distance($inside[$name]);
        usort($names, static fn(int|string $a, int|string $b): int => $rank($a) <=> $rank($b));

        return $names;
    }
}
