<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Limits\LowNotBelowHigh;
use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/**
 * The longest unbroken time at which a record, less its uncertainty, stood at a temperature: what a heat limit or a cure asks
 * for. An interruption begins it again.
 */
final readonly class HeatHold
{
    /** A silence longer than this ends a hold: nobody knows what was between. Common practice, no source. */
    public const GAP_MIN = 5.0;

    /**
     * @param float $runningMinutes of the hold that lasts to the end of the record; 0 where it was broken
     * @param bool $isWhole nothing between the beginning and the end of what counts is silent or left out
     */
    private function __construct(
        public float $longestMinutes,
        public float $runningMinutes,
        public bool $isMet,
        public ?float $fromMinute,
        public ?float $toMinute,
        public bool $isWhole,
    ) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [min, °C], minutes strictly increasing
     * @param float $expandedU °C, taken off
     * @param float $minutes for which it has to hold, above 0
     * @param float $gapMinutes the longest silence, above 0
     * @param float|null $beginMinute and $endMinute outside which nothing counts
     *
     * @throws TimesNotIncreasing
     * @throws LowNotBelowHigh if the end is not after the beginning
     */
    public static function of(
        array $temperatures,
        float $expandedU,
        float $minimumC,
        float $minutes,
        float $gapMinutes = self::GAP_MIN,
        ?float $beginMinute = null,
        ?float $endMinute = null,
        ?LeftOut $leftOut = null,
    ): self {
        if ($beginMinute !== null && $endMinute !== null && $endMinute <= $beginMinute) {
            throw new LowNotBelowHigh($beginMinute, $endMinute);
        }
        [$begin, $stop] = [$beginMinute ?? -INF, $endMinute ?? INF];
        $longestGap = min($gapMinutes, $minutes);
        $leftOut ??= LeftOut::nothing();
        $isGap = static fn(float $from, float $to): bool => !Numbers::atMost($to - $from, $longestGap) || $leftOut->touches($from, $to);
        [$longest, $from, $to, $running] = [0.0, null, null, 0.0];
        $last = min($temperatures[count($temperatures) - 1][0], $stop);
        foreach (self::holds($temperatures, $minimumC + $expandedU, $begin, $stop, $isGap) as [$start, $end]) {
            if ($end - $start > $longest + Numbers::TOLERANCE) {
                [$longest, $from, $to] = [$end - $start, $start, $end];
            }
            $running = $end >= $last ? $end - $start : 0.0;
        }

        return new self(
            $longest,
            $running,
            $longest > 0 && Numbers::atLeast($longest, $minutes),
            $from,
            $to,
            self::isWhole($temperatures, $beginMinute, $endMinute, $isGap),
        );
    }

    /**
     * Intervals that stand at the temperature, joined where one begins as the other ends.
     *
     * @param non-empty-list<array{float, float}> $temperatures
     * @param callable(float, float): bool $isGap
     *
     * @return list<array{float, float}> minutes from and to, in their order
     */
    private static function holds(array $temperatures, float $needed, float $begin, float $stop, callable $isGap): array
    {
        $holds = [];
        for ($i = 1; $i < count($temperatures); $i++) {
            [[$a, $atA], [$b, $atB]] = [$temperatures[$i - 1], $temperatures[$i]];
            if ($b <= $a) {
                throw new TimesNotIncreasing($i);
            }
            $hot = $isGap($a, $b) ? null : self::hot($a, $b, $atA, $atB, $needed);
            if ($hot === null) {
                continue;
            }
            [$from, $to] = [max($hot[0], $begin), min($hot[1], $stop)];
            if ($to <= $from) {
                continue;
            }
            $newest = count($holds) - 1;
            if ($newest >= 0 && $holds[$newest][1] === $from) {
                $holds[$newest][1] = $to;
            } else {
                $holds[] = [$from, $to];
            }
        }

        return $holds;
    }

    /** @return array{float, float}|null the part of an interval on which its line stands at the temperature */
    private static function hot(float $a, float $b, float $atA, float $atB, float $needed): ?array
    {
        [$isHot, $staysHot] = [Numbers::atLeast($atA, $needed), Numbers::atLeast($atB, $needed)];
        if ($isHot === $staysHot) {
            return $isHot ? [$a, $b] : null;
        }
        $crossing = min($b, max($a, $a + (($needed - $atA) / ($atB - $atA)) * ($b - $a)));

        return $staysHot ? [$crossing, $b] : [$a, $crossing];
    }

    /**
     * @param non-empty-list<array{float, float}> $temperatures
     * @param callable(float, float): bool $isGap
     */
    private static function isWhole(array $temperatures, ?float $begin, ?float $end, callable $isGap): bool
    {
        $times = array_column($temperatures, 0);
        $known = [
            ...$begin !== null && $begin < $times[0] ? [$begin] : [],
            ...$times,
            ...$end !== null && $end > $times[count($times) - 1] ? [$end] : [],
        ];
        for ($i = 1; $i < count($known); $i++) {
            if ($known[$i] > ($begin ?? -INF) && $known[$i - 1] < ($end ?? INF) && $isGap($known[$i - 1], $known[$i])) {
                return false;
            }
        }

        return true;
    }
}
