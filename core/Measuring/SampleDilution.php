<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Numbers;

/**
 * Water that goes into a sample, in parts to one part of food, and how far it may shift the pH. For a weakly buffered food; the
 * bounds are from memory. A method that the site has tried out on its own food has a bound of its own.
 */
final class SampleDilution
{
    public const MOST_PARTS = 9.0;

    /** Parts of water, and what they may shift in pH; a line between two. */
    private const PARTS = [0.2, 1.0, 3.0, self::MOST_PARTS];
    private const BOUNDS_PH = [0.02, 0.05, 0.1, 0.2];

    /** So many samples, read undiluted and diluted, make a bound. */
    public const TRIAL_SAMPLES = 3;

    /** A bound is never smaller: a trial of three may be lucky. */
    private const LEAST_PH = 0.02;

    /** So little water is only added where the food will not flow. */
    private const LITTLE_PARTS = 0.2;

    /**
     * @param float|null $parts that were used; null and 0 are none
     * @param float|null $methodParts that the method names
     * @param float|null $methodBoundPh that a trial on the site's own food gave
     *
     * @return float|null half-width in pH; null where nobody knows it
     */
    public static function boundPh(?float $parts, ?float $methodParts = null, ?float $methodBoundPh = null): ?float
    {
        if ($parts === null || $parts <= 0) {
            return 0.0;
        }
        if ($methodBoundPh !== null && $methodParts !== null && Numbers::atMost($parts, $methodParts)) {
            return $methodBoundPh;
        }
        foreach (self::PARTS as $i => $high) {
            if (Numbers::atMost($parts, $high)) {
                $low = $i === 0 ? 0.0 : self::PARTS[$i - 1];
                $from = $i === 0 ? 0.0 : self::BOUNDS_PH[$i - 1];

                return $from + ((self::BOUNDS_PH[$i] - $from) * ($parts - $low)) / max($high - $low, Numbers::TOLERANCE);
            }
        }

        return null;
    }

    /** What a form offers: what the method names, or none where it is only for what will not flow. */
    public static function usual(float $methodParts): float
    {
        return Numbers::atMost($methodParts, self::LITTLE_PARTS) ? 0.0 : $methodParts;
    }

    /**
     * The bound that a small trial gives: the largest difference.
     *
     * @param list<array{float, float}> $pairs pH undiluted and diluted, of three samples at least
     */
    public static function ofTrial(array $pairs): ?float
    {
        return count($pairs) < self::TRIAL_SAMPLES
            ? null
            : max(self::LEAST_PH, ...array_map(static fn(array $pair): float => round(abs($pair[1] - $pair[0]), 4), $pairs));
    }

    /** "1 + 3" */
    public static function words(float $parts): string
    {
        return '1 + ' . Numbers::plain($parts);
    }

    /**
     * Ratios that the steps name and that are not the method's.
     *
     * @param list<string> $steps
     *
     * @return list<string>
     */
    public static function contradicted(array $steps, ?float $methodParts): array
    {
        preg_match_all('/\b1\s?\+\s?(\d+(?:[.,]\d+)?)/u', implode("\n", $steps), $found);

        return array_values(
            array_filter(
                $found[0],
                static fn(string $ratio): bool => $methodParts === null
                    || abs((float) str_replace(',', '.', (string) preg_replace('/^.*\+\s?/u', '', $ratio)) - $methodParts)
                        > Numbers::TOLERANCE,
            ),
        );
    }
}
