<?php

declare(strict_types=1);

namespace Rheacid\Core\Settling;

use Rheacid\Core\Maths\LeastSquares;
use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/** Whether a reading stands still: within a band for the whole of a window. 0.02 pH for 30 s is common practice, no source. */
final readonly class Settling
{
    public const BAND_PH = 0.02;
    public const WINDOW_S = 30.0;

    /** What a critical or legal limit depends on stands still for longer. Common practice, no source. */
    public const BINDING_WINDOW_S = 60.0;

    /**
     * @param float|null $settledAtS first time at which the window before it was still
     * @param float|null $driftPerMinute least-squares slope over the last window; null with one point in it
     * @param float|null $responseTimeS time from which on every point is within half the band of the last window's mean
     */
    private function __construct(
        public bool $settled,
        public ?float $settledAtS,
        public ?float $driftPerMinute,
        public float $rangeInWindow,
        public ?float $responseTimeS,
        public float $meanInWindow,
        public float $stillForS,
    ) {}

    /** @param float $ofMethodS what the method asks, in s */
    public static function windowS(float $ofMethodS, bool $isBound): float
    {
        return $isBound ? max($ofMethodS, self::BINDING_WINDOW_S) : $ofMethodS;
    }

    /**
     * @param list<array{float, float}> $points [s, value], times strictly increasing
     *
     * @throws NoSamples if there is no point
     * @throws TimesNotIncreasing if the times do not strictly increase
     */
    public static function of(array $points, float $band = self::BAND_PH, float $windowS = self::WINDOW_S): self
    {
        if ($points === []) {
            throw new NoSamples();
        }
        $times = array_column($points, 0);
        $values = array_column($points, 1);
        $last = count($points) - 1;
        $still = self::stillAt($points, $band, $windowS);
        $first = array_search(true, $still, true);
        $settledAt = is_int($first) ? $times[$first] : null;
        $settledNow = $still[$last];
        $from = $last;
        while ($from > 0 && $times[$from - 1] >= $times[$last] - $windowS - Numbers::TOLERANCE) {
            $from--;
        }
        $window = array_slice($values, $from);
        $windowTimes = array_slice($times, $from);
        assert($window !== [] && $windowTimes !== []);
        $mean = array_sum($window) / count($window);
        $line = LeastSquares::line($windowTimes, $window);

        return new self(
            $settledNow,
            $settledAt,
            $line === null ? null : $line->slope * 60,
            max($window) - min($window),
            $settledNow ? self::response($times, $values, $mean, $band / 2) : null,
            $mean,
            $times[$last] - self::stillSince($times, $values, $band),
        );
    }

    /**
     * Point by point, whether the window before it was still, in one pass.
     *
     * @param list<array{float, float}> $points [s, value], times strictly increasing
     *
     * @return list<bool>
     *
     * @throws TimesNotIncreasing if the times do not strictly increase
     */
    public static function stillAt(array $points, float $band = self::BAND_PH, float $windowS = self::WINDOW_S): array
    {
        $times = array_column($points, 0);
        $values = array_column($points, 1);
        $still = [];
        $from = 0;
        /** @var list<int> $highs @var list<int> $lows indices whose values fall and rise: the window's extremes stand in front */
        $highs = $lows = [];
        foreach ($times as $i => $time) {
            if ($i > 0 && $time <= $times[$i - 1]) {
                throw new TimesNotIncreasing($i);
            }
            self::push($highs, $i, $values, 1);
            self::push($lows, $i, $values, -1);
            while ($times[$from] < $time - $windowS - Numbers::TOLERANCE) {
                $from++;
            }
            while ($highs[0] < $from) {
                array_shift($highs);
            }
            while ($lows[0] < $from) {
                array_shift($lows);
            }
            $still[] = Numbers::atMost($times[0], $time - $windowS)
                && Numbers::atMost($values[$highs[0]] - $values[$lows[0]], $band);
        }

        return $still;
    }

    /**
     * @param list<int> $indices
     * @param list<float> $values
     */
    private static function push(array &$indices, int $i, array $values, int $sign): void
    {
        while ($indices !== [] && $sign * $values[$indices[count($indices) - 1]] <= $sign * $values[$i]) {
            array_pop($indices);
        }
        $indices[] = $i;
    }

    /**
     * @param list<float> $times
     * @param list<float> $values
     */
    private static function response(array $times, array $values, float $mean, float $within): ?float
    {
        $since = null;
        for ($i = count($values) - 1; $i >= 0 && Numbers::atMost(abs($values[$i] - $mean), $within); $i--) {
            $since = $times[$i];
        }

        return $since;
    }

    /**
     * @param list<float> $times
     * @param list<float> $values
     */
    private static function stillSince(array $times, array $values, float $band): float
    {
        $i = count($values) - 1;
        $high = $low = $values[$i];
        while ($i > 0 && Numbers::atMost(max($high, $values[$i - 1]) - min($low, $values[$i - 1]), $band)) {
            $i--;
            $high = max($high, $values[$i]);
            $low = min($low, $values[$i]);
        }

        return $times[$i];
    }
}
