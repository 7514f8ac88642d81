<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Numbers;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\TimesNotIncreasing;

/**
 * How long and how far a fermenting sausage lay above 60 °F before its pH came down: °F·h against what is allowed by the
 * highest temperature in that time. Bands 1200 below 90 °F, 1000 from 90 to 100 °F, 900 above: trade guideline of 1982 on
 * fermented dry and semi-dry sausage, from memory. Against Staphylococcus aureus only.
 */
final readonly class DegreeHours
{
    public const BASE_F = 60.0;
    public const PH_LIMIT = 5.3;

    /** A silence of the logger longer than this counts at the higher of its ends. */
    private const GAP_H = 1.0;
    private const MILD_F = 90.0;
    private const HOT_F = 100.0;

    /** What a probe in a chamber can read, in °C. */
    private const RANGE_C = [-5.0, 130.0];

    /**
     * @param float|null $hoursToLimit of the pH reading that decides, on the clock of the input
     * @param list<array{float, float}> $gaps hours from and to
     */
    private function __construct(public ?float $hoursToLimit, public float $degreeHours, public float $allowed, public float $remaining, public array $gaps, public DegreeHoursVerdict $verdict) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [h, value], hours strictly increasing
     * @param bool $isCelsius of the values and their U; the answer is in °F·h either way
     * @param float $expandedU of the temperature, in its unit; counted on top
     * @param list<array{float, float}> $ph [h, pH], hours strictly increasing
     *
     * @throws TimesNotIncreasing at an index of the temperatures
     * @throws PhTimesNotIncreasing at an index of the pH
     * @throws TemperatureOutOfRange
     * @throws CourseDoesNotCover if a pH reading lies outside the record of temperatures by more than an hour
     */
    public static function of(array $temperatures, bool $isCelsius = false, float $baseF = self::BASE_F, float $expandedU = 0.0, array $ph = [], float $phExpandedU = 0.0, float $phLimit = self::PH_LIMIT): self
    {
        $course = self::inF($temperatures, $isCelsius, $expandedU);
        $end = self::deciding($ph, $phExpandedU, $phLimit);
        [$first, $last] = [$course[0][0], $course[count($course) - 1][0]];
        foreach ($ph as $i => [$hours, $value]) {
            if ($hours < $first - self::GAP_H - Numbers::TOLERANCE) {
                throw new CourseDoesNotCover($i, $hours, isBefore: true);
            }
            if ($end === $hours && $hours > $last + self::GAP_H + Numbers::TOLERANCE) {
                throw new CourseDoesNotCover($i, $hours, isBefore: false);
            }
        }
        [$sum, $highest, $gaps] = $end !== null && $end <= $first ? [0.0, $course[0][1], []] : self::integrated($course, $end ?? $last, $baseF);
        $allowed = match (true) {
            $highest < self::MILD_F - Numbers::TOLERANCE => 1200.0,
            Numbers::atMost($highest, self::HOT_F) => 1000.0,
            default => 900.0,
        };

        return new self($end, $sum, $allowed, $allowed - $sum, $gaps, match (true) {
            Numbers::atLeast($sum, $allowed) => DegreeHoursVerdict::Exceeded,
            $end !== null => DegreeHoursVerdict::Within,
            default => DegreeHoursVerdict::Running,
        });
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
        foreach ($ph as $i => [$hours, $value]) {
            if ($i > 0 && $hours <= $ph[$i - 1][0]) {
                throw new PhTimesNotIncreasing($i);
            }
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
            $celsius = $isCelsius ? $value : ($value - 32) / 1.8;
            if ($celsius < self::RANGE_C[0] - Numbers::TOLERANCE || $celsius > self::RANGE_C[1] + Numbers::TOLERANCE) {
                throw new TemperatureOutOfRange($celsius, ...self::RANGE_C);
            }
            $course[] = [$hours, $isCelsius ? ($value + $expandedU) * 1.8 + 32 : $value + $expandedU];
        }

        return $course;
    }

    /**
     * @param non-empty-list<array{float, float}> $course
     *
     * @return array{float, float, list<array{float, float}>} °F·h, highest °F, gaps
     */
    private static function integrated(array $course, float $end, float $baseF): array
    {
        $sum = 0.0;
        $highest = $course[0][1];
        $gaps = [];
        for ($i = 1; $i < count($course) && $course[$i - 1][0] < $end; $i++) {
            [[$from, $a], [$to, $b]] = [$course[$i - 1], $course[$i]];
            $until = min($to, $end);
            if ($to - $from > self::GAP_H + Numbers::TOLERANCE) {
                $gaps[] = [$from, $to];
                $highest = max($highest, $a, $b);
                $sum += ($until - $from) * max(0.0, max($a, $b) - $baseF);
                continue;
            }
            $atEnd = $a + ($b - $a) * ($until - $from) / ($to - $from);
            $highest = max($highest, $a, $atEnd);
            $sum += self::above($a - $baseF, $atEnd - $baseF, $until - $from);
        }
        [$last, $value] = $course[count($course) - 1];
        if ($end > $last) {
            // Up to an hour after the record has ended its last temperature stands.
            $sum += ($end - $last) * max(0.0, $value - $baseF);
        }

        return [$sum, $highest, $gaps];
    }

    /** The area above the base under a line from one end to the other, cut where it crosses. */
    private static function above(float $a, float $b, float $hours): float
    {
        return match (true) {
            $a >= 0 && $b >= 0 => $hours * ($a + $b) / 2,
            $a <= 0 && $b <= 0 => 0.0,
            default => $hours * max($a, $b) ** 2 / (2 * abs($a - $b)),
        };
    }
}
