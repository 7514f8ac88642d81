<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/**
 * Buffers so near to one another (6.86 and 7.00, 9.18 and 10.01) that an everyday electrode gives a good line in the wrong
 * one: what the electrode did in its last runs tells them apart. The bounds are common practice, no source.
 */
final class NearTwin
{
    private const LEAST_APART_PH = 0.1;
    private const MOST_APART_PH = 0.9;

    /** So many runs, and no more, tell what an electrode does now; one alone tells nothing of its scatter. */
    public const RUNS = 4;
    private const LEAST_RUNS = 2;

    /**
     * The neighbour that the history fits better than the buffer taken.
     *
     * @param array<array-key, Buffer> $shelf other bottles by their name
     * @param list<CalibrationFit> $lastRuns newest first
     * @param CalibrationPoint|null $before a point of this run that is not in doubt: what both share (offset) then drops out
     *
     * @return string|null its name; null where the buffer taken fits, or the runs scatter too much to tell
     */
    public static function among(
        Buffer $taken,
        array $shelf,
        float $mv,
        float $celsius,
        array $lastRuns,
        ?CalibrationPoint $before = null,
    ): ?string {
        $apparent = [];
        foreach (array_slice($lastRuns, 0, self::RUNS) as $run) {
            if ($run->hasMeasuredSlope()) {
                $apparent[]
                    = $run->read($mv, $celsius)->ph
                    - ($before === null ? 0.0 : $run->read($before->mv, $before->celsius)->ph - $before->bufferPh);
            }
        }
        if (count($apparent) < self::LEAST_RUNS || !$taken->covers($celsius)) {
            return null;
        }
        $scatter = max($apparent) - min($apparent);
        $mean = array_sum($apparent) / count($apparent);
        $takenPh = $taken->phAt($celsius);
        $best = null;
        $nearest = abs($mean - $takenPh);
        foreach ($shelf as $name => $neighbour) {
            if (!$neighbour->covers($celsius)) {
                continue;
            }
            $apart = abs($neighbour->phAt($celsius) - $takenPh);
            $isTwin = Numbers::atLeast($apart, self::LEAST_APART_PH) && Numbers::atMost($apart, self::MOST_APART_PH);
            $distance = abs($mean - $neighbour->phAt($celsius));
            if ($isTwin && $scatter < $apart / 2 && $distance < $nearest) {
                [$best, $nearest] = [(string) $name, $distance];
            }
        }

        return $best;
    }
}
