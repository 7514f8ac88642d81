<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Celsius;
use Rheacid\Core\Forecast\NowBeforeLastReading;
use Rheacid\Core\Numbers;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\TimesNotIncreasing;

/**
 * How long and how far a fermenting sausage lay above 60 °F before its pH came down: °F·h against what is allowed by the
 * highest temperature in that time. Bands 1200 below 90 °F, 1000 from 90 to 100 °F, 900 above: trade guideline of 1982 on
 * fermented dry and semi-dry sausage, from memory. Against Staphylococcus aureus only.
 *
 * Counting begins with the danger, not with the first temperature on record: what nobody recorded counts at the warmer
 * neighbour and is told as a gap.
 */
final readonly class DegreeHours
{
    public const BASE_F = 60.0;
    public const PH_LIMIT = 5.3;
    /** A silence longer than this is a gap; a pH drawn longer than this before counting begins decides nothing. */
    private const GAP_H = 1.0;
    private const MILD_F = 90.0;
    private const HOT_F = 100.0;
    /** What a probe in a chamber can read, in °C. */
    private const RANGE_C = [-5.0, 130.0];

    /**
     * @param float|null $hoursToLimit of the pH reading that decides, on the clock of the input
     * @param list<array{float, float}> $gaps hours from and to
     * @param float $silentHours of those that were counted, in gaps
     */
    private function __construct(
        public ?float $hoursToLimit,
        public float $degreeHours,
        public float $allowed,
        public float $remaining,
        public array $gaps,
        public float $silentHours,
        public DegreeHoursVerdict $verdict,
    ) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [h, value], hours strictly increasing
     * @param bool $isCelsius of the values and their U; the answer is in °F·h either way
     * @param float $expandedU of the temperature, in its unit; counted on top
     * @param list<array{float, float}> $ph [h, pH], hours strictly increasing
     * @param float|null $fromH when counting begins; with the first temperature if null
     * @param float|null $nowH until when it is counted while no pH decides; the last temperature if null
     *
     * @throws TimesNotIncreasing at an index of the temperatures
     * @throws PhTimesNotIncreasing at an index of the pH
     * @throws TemperatureOutOfRange
     * @throws TemperatureLeftOut if a temperature lies within a stretch that is left out
     * @throws BeginsTooLate if counting begins after the last temperature
     * @throws NowBeforeLastReading if something was read after now
     */
    public static function of(
        array $temperatures,
        bool $isCelsius = false,
        float $baseF = self::BASE_F,
        float $expandedU = 0.0,
        array $ph = [],
        float $phExpandedU = 0.0,
        float $phLimit = self::PH_LIMIT,
        ?float $fromH = null,
        ?float $nowH = null,
        ?LeftOut $leftOut = null,
    ): self {
        $course = self::inF($temperatures, $isCelsius, $expandedU);
        self::ensureInOrder($ph);
        $leftOut ??= LeftOut::nothing();
        $leftOut->ensureWithout($temperatures);
        $last = $course[count($course) - 1][0];
        $from = $fromH ?? $course[0][0];
        if ($from > $last) {
            throw new BeginsTooLate($from, $last, 'the last temperature');
        }
        $newest = max($last, $ph === [] ? -INF : $ph[count($ph) - 1][0]);
        if ($nowH !== null && $nowH < $newest) {
            throw new NowBeforeLastReading($nowH, $newest);
        }
        $deciding = self::deciding(
            array_values(array_filter($ph, static fn(array $reading): bool => Numbers::atLeast($reading[0], $from - self::GAP_H))),
            $phExpandedU,
            $phLimit,
        );
        $end = max($from, $deciding ?? ($nowH ?? $last));
        [$sum, $highest, $gaps, $silent] = self::integrated(self::intervals($course, $from, $end), $from, $end, $baseF, $leftOut);
        $allowed = match (true) {
            $highest < self::MILD_F - Numbers::TOLERANCE => 1200.0,
            Numbers::atMost($highest, self::HOT_F) => 1000.0,
            default => 900.0,
        };

        return new self(
            $deciding,
            $sum,
            $allowed,
            $allowed - $sum,
            $gaps,
            $silent,
            match (true) {
                Numbers::atLeast($sum, $allowed) => DegreeHoursVerdict::Exceeded,
                $deciding !== null => DegreeHoursVerdict::Within,
                default => DegreeHoursVerdict::Running,
            },
        );
    }

    /** @param list<array{float, float}> $ph */
    private static function ensureInOrder(array $ph): void
    {
        foreach ($ph as $i => [$hours]) {
            if ($i > 0 && $hours <= $ph[$i - 1][0]) {
                throw new PhTimesNotIncreasing($i);
            }
        }
    }

    /**
     * The first reading that meets the limit with its uncertainty, after which none exceeds it: a reading, never a moment
     * between two.
     *
     * @param list<array{float, float}> $ph
     */
    private static function deciding(array $ph, float $expandedU, float $limit): ?float
    {
        $deciding = null;
        foreach ($ph as [$hours, $value]) {
            $deciding = match (true) {
                !Numbers::atMost($value, $limit) => null,
                $deciding === null && Numbers::atMost($value + $expandedU, $limit) => $hours,
                default => $deciding,
            };
        }

        return $deciding;
    }

    /**
     * @param non-empty-list<array{float, float}> $temperatures
     *
     * @return non-empty-list<array{float, float}> [h, °F with its uncertainty on top]
     */
    private static function inF(array $temperatures, bool $isCelsius, float $expandedU): array
    {
        $course = [];
        foreach ($temperatures as $i => [$hours, $value]) {
            if ($i > 0 && $hours <= $temperatures[$i - 1][0]) {
                throw new TimesNotIncreasing($i);
            }
            $celsius = $isCelsius ? $value : Celsius::ofFahrenheit($value);
            if ($celsius < self::RANGE_C[0] - Numbers::TOLERANCE || $celsius > self::RANGE_C[1] + Numbers::TOLERANCE) {
                throw new TemperatureOutOfRange($celsius, ...self::RANGE_C);
            }
            $course[] = [$hours, $isCelsius ? Celsius::fahrenheit($value + $expandedU) : $value + $expandedU];
        }

        return $course;
    }

    /**
     * The record in intervals, with what lies before its first and after its last temperature.
     *
     * @param non-empty-list<array{float, float}> $course
     *
     * @return non-empty-list<array{float, float, float, float}> h from and to, °F at both
     */
    private static function intervals(array $course, float $from, float $end): array
    {
        [$first, $last] = [$course[0], $course[count($course) - 1]];
        $intervals = $from < $first[0] ? [[$from, $first[0], $first[1], $first[1]]] : [];
        for ($i = 1; $i < count($course); $i++) {
            $intervals[] = [$course[$i - 1][0], $course[$i][0], $course[$i - 1][1], $course[$i][1]];
        }

        return $intervals === [] || $end > $last[0] ? [...$intervals, [$last[0], max($end, $last[0]), $last[1], $last[1]]] : $intervals;
    }

    /**
     * @param non-empty-list<array{float, float, float, float}> $intervals
     *
     * @return array{float, float, list<array{float, float}>, float} °F·h, highest °F, gaps, hours in them
     */
    private static function integrated(array $intervals, float $from, float $end, float $baseF, LeftOut $leftOut): array
    {
        [$sum, $highest, $gaps, $silent] = [0.0, -INF, [], 0.0];
        foreach ($intervals as [$a, $b, $atA, $atB]) {
            if ($b < $from || $a > $end) {
                continue;
            }
            [$begin, $stop] = [max($a, $from), min($b, $end)];
            $at = static fn(float $hours): float => $b > $a ? $atA + (($atB - $atA) * ($hours - $a)) / ($b - $a) : $atB;
            $isGap = $b - $a > self::GAP_H + Numbers::TOLERANCE || $leftOut->touches($a, $b);
            // Where it meets what is counted only at its own end, that temperature is known.
            if ($isGap && ($begin < $stop || ($a < $begin && $begin < $b))) {
                [$low, $high] = [max($atA, $atB), max($atA, $atB)];
            } else {
                [$low, $high] = [$at($begin), $at($stop)];
            }
            $highest = max($highest, $low, $high);
            $sum += self::above($low - $baseF, $high - $baseF, $stop - $begin);
            if ($isGap && $begin < $stop) {
                $gaps[] = [$begin, $b];
                $silent += $stop - $begin;
            }
        }

        return [$sum, $highest, $gaps, $silent];
    }

    /** The area above the base under a line from one end to the other, cut where it crosses. */
    private static function above(float $a, float $b, float $hours): float
    {
        return match (true) {
            $a >= 0 && $b >= 0 => ($hours * ($a + $b)) / 2,
            $a <= 0 && $b <= 0 => 0.0,
            default => ($hours * max($a, $b) ** 2) / (2 * abs($a - $b)),
        };
    }
}
