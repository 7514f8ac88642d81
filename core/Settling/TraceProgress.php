<?php

declare(strict_types=1);

namespace Rheacid\Core\Settling;

use Rheacid\Core\Numbers;

/** How far a trace has come: what would be accepted now, and how long it still has to stand still. */
final readonly class TraceProgress
{
    /** A window with fewer points, or with a longer gap, proves nothing. */
    private const LEAST_POINTS = 20;
    private const LONGEST_GAP_S = 3.0;

    /**
     * @param bool $settled still for the whole window, on enough points without a gap
     * @param float $mv mean of the still window, or the last value where it is not settled; kept to 0.001
     * @param float $waitS seconds to go if it stays as still as it is
     * @param float|null $responseTimeS time it took to come to rest, told at the first rest: waiting longer must not make it look slower
     */
    private function __construct(
        public Settling $settling,
        public bool $settled,
        public float $mv,
        public float $celsius,
        public float $waitS,
        public ?float $responseTimeS,
    ) {}

    /**
     * @param non-empty-list<array{float, float}> $values [s, value] of the trace, in pH or a cell's own unit
     * @param float $band in the same unit
     */
    public static function of(Trace $trace, array $values, float $windowS, float $band = Settling::BAND_PH): self
    {
        $settling = Settling::of($values, $band, $windowS);
        $end = $trace->lastSecond();
        $window = array_values(
            array_filter($trace->points, static fn(array $point): bool => $point[0] >= $end - $windowS - Numbers::TOLERANCE),
        );
        $gap = 0.0;
        foreach ($window as $i => $point) {
            $gap = max($gap, $i === 0 ? 0.0 : $point[0] - $window[$i - 1][0]);
        }
        $settled = $settling->settled && count($window) >= self::LEAST_POINTS && Numbers::atMost($gap, self::LONGEST_GAP_S);
        $taken = $settled ? $window : [$trace->points[count($trace->points) - 1]];

        return new self(
            $settling,
            $settled,
            round(array_sum(array_column($taken, 1)) / count($taken), 3),
            round(array_sum(array_column($taken, 2)) / count($taken), 3),
            $settled ? 0.0 : max(1.0, ceil($windowS - $settling->stillForS)),
            $settled ? self::response($values, $settling, $windowS, $band) : null,
        );
    }

    /** @param non-empty-list<array{float, float}> $values [s, value] */
    private static function response(array $values, Settling $settling, float $windowS, float $band): ?float
    {
        $first = $settling->settledAtS;
        $untilRest = array_values(array_filter($values, static fn(array $value): bool => $value[0] <= $first));

        return $untilRest === [] ? null : Settling::of($untilRest, $band, $windowS)->responseTimeS;
    }
}
