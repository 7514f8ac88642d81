<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Forecast\NowBeforeLastReading;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/**
 * A temperature limit that holds all the time of a span, like cold from packing on: never met by one reading, and not proven
 * across a silence. How long a silence may be is common practice, no source: a quarter of the span, a day at most.
 */
final readonly class Throughout
{
    public const GAP_H = 24.0;
    private const SHARE_OF_SPAN = 0.25;

    /**
     * @param float|null $worstC the counted value with the least to spare; null where none counts
     * @param float|null $firstOutsideH the first moment that is outside beyond the uncertainty
     * @param float $coveredH hours of the span on an unbroken record
     * @param list<array{float, float}> $gaps hours from and to, within the span
     * @param float|null $endH of the span; null where it has none
     */
    private function __construct(
        public ThroughoutVerdict $verdict,
        public ?float $worstC,
        public ?float $firstOutsideH,
        public float $coveredH,
        public array $gaps,
        public ?float $endH,
    ) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [h, °C], hours strictly increasing
     * @param float $expandedU of the temperatures, °C
     * @param Comparison $comparison at most, or at least
     * @param float $fromH when the span begins
     * @param float|null $hours for how long, above 0; without an end if null
     * @param float|null $nowH the last temperature if null
     * @param float $gapH the longest silence, above 0
     *
     * @throws TimesNotIncreasing
     * @throws TemperatureLeftOut if a temperature lies within a stretch that is left out
     * @throws NowBeforeLastReading
     * @throws BeginsTooLate if the span begins after now
     */
    public static function of(
        array $temperatures,
        float $expandedU,
        Comparison $comparison,
        float $limitC,
        float $fromH,
        ?float $hours,
        ?float $nowH = null,
        float $gapH = self::GAP_H,
        ?LeftOut $leftOut = null,
    ): self {
        foreach ($temperatures as $i => [$at]) {
            if ($i > 0 && $at <= $temperatures[$i - 1][0]) {
                throw new TimesNotIncreasing($i);
            }
        }
        $leftOut ??= LeftOut::nothing();
        $leftOut->ensureWithout($temperatures);
        $last = $temperatures[count($temperatures) - 1][0];
        $now = $nowH ?? $last;
        if ($now < $last) {
            throw new NowBeforeLastReading($now, $last);
        }
        if ($fromH > $now) {
            throw new BeginsTooLate($fromH, $now, 'now');
        }
        $end = $hours === null ? null : $fromH + $hours;
        $isOver = $end !== null && Numbers::atLeast($now, $end);
        $silence = $hours === null ? $gapH : min($gapH, $hours * self::SHARE_OF_SPAN);
        $isGap = static fn(float $from, float $to): bool => !Numbers::atMost($to - $from, $silence) || $leftOut->touches($from, $to);

        [$counted, $coveredH] = self::counted($temperatures, $fromH, min($now, $end ?? INF), $isGap);
        $gaps = self::gaps($temperatures, $fromH, $end ?? INF, $isOver, $isGap);
        // Above or below: the same sum with the sign turned.
        $sign = $comparison === Comparison::AtLeast ? -1.0 : 1.0;
        $worst
            = $counted === []
                ? null
                : $sign * max(array_map(static fn(array $piece): float => max($sign * $piece[2], $sign * $piece[3]), $counted));
        $firstOutside = self::firstBeyond($counted, $sign, $sign * $limitC + $expandedU);
        $isProven = $worst !== null && Numbers::atMost($sign * $worst + $expandedU, $sign * $limitC);

        return new self(
            match (true) {
                $firstOutside !== null => ThroughoutVerdict::Outside,
                $gaps !== [] || ($worst !== null && !$isProven) => ThroughoutVerdict::Inconclusive,
                !$isOver => ThroughoutVerdict::Running,
                default => $isProven ? ThroughoutVerdict::Inside : ThroughoutVerdict::Inconclusive,
            },
            $worst,
            $firstOutside,
            $coveredH,
            $gaps,
            $end,
        );
    }

    /**
     * What counts, in the order of time: readings, and the lines between two of them that no gap parts.
     *
     * @param non-empty-list<array{float, float}> $temperatures
     * @param callable(float, float): bool $isGap
     *
     * @return array{list<array{float, float, float, float}>, float} h from and to with °C at both, and the hours on lines
     */
    private static function counted(array $temperatures, float $from, float $until, callable $isGap): array
    {
        [$counted, $coveredH] = [[], 0.0];
        foreach ($temperatures as $i => [$at, $value]) {
            if ($i > 0 && !$isGap($temperatures[$i - 1][0], $at)) {
                [$before, $valueBefore] = $temperatures[$i - 1];
                [$begin, $stop] = [max($before, $from), min($at, $until)];
                if ($begin < $stop) {
                    $line = static fn(float $hours): float => $valueBefore
                        + (($value - $valueBefore) * ($hours - $before)) / ($at - $before);
                    $counted[] = [$begin, $stop, $line($begin), $line($stop)];
                    $coveredH += $stop - $begin;
                }
            }
            if ($at >= $from && $at <= $until) {
                $counted[] = [$at, $at, $value, $value];
            }
        }

        return [$counted, $coveredH];
    }

    /**
     * @param non-empty-list<array{float, float}> $temperatures
     * @param callable(float, float): bool $isGap
     *
     * @return list<array{float, float}> cut to the span
     */
    private static function gaps(array $temperatures, float $from, float $end, bool $isOver, callable $isGap): array
    {
        $times = array_column($temperatures, 0);
        $last = $times[count($times) - 1];
        $silences = $from < $times[0] ? [[$from, $times[0]]] : [];
        for ($i = 1; $i < count($times); $i++) {
            $silences[] = [$times[$i - 1], $times[$i]];
        }
        // While the span runs, what follows the last reading is awaited.
        if ($isOver && $last < $end) {
            $silences[] = [$last, $end];
        }
        $gaps = [];
        foreach ($silences as [$a, $b]) {
            [$begin, $stop] = [max($a, $from), min($b, $end)];
            if ($begin < $stop && $isGap($a, $b)) {
                $gaps[] = [$begin, $stop];
            }
        }

        return $gaps;
    }

    /**
     * @param list<array{float, float, float, float}> $counted
     */
    private static function firstBeyond(array $counted, float $sign, float $edge): ?float
    {
        foreach ($counted as [$from, $to, $a, $b]) {
            [$a, $b] = [$sign * $a, $sign * $b];
            if (!Numbers::atMost($a, $edge)) {
                return $from;
            }
            if (!Numbers::atMost($b, $edge)) {
                return $from + (($to - $from) * ($edge - $a)) / ($b - $a);
            }
        }

        return null;
    }
}
