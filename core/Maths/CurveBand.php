<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/**
 * Where courses of the same kind ran: median and quartiles at equal times, each course taken linearly between its points and
 * never beyond them. Quartiles by linear interpolation of the ordered values, as in NumPy's default.
 */
final class CurveBand
{
    /** Fewer courses have no spread to speak of. */
    public const FEWEST = 3;

    /**
     * @param list<list<array{float, float}>> $courses [time, value], each with times that increase
     * @param int $points at how many equal times, at least two
     *
     * @return list<array{at: float, low: float, median: float, high: float}> only where three or more courses tell; else empty
     */
    public static function of(array $courses, float $from, float $to, int $points): array
    {
        $band = [];
        for ($i = 0; $i < $points && $to > $from; $i++) {
            $at = $from + (($to - $from) * $i) / ($points - 1);
            $values = array_values(
                array_filter(
                    array_map(static fn(array $course): ?float => self::at($course, $at), $courses),
                    static fn(?float $value): bool => $value !== null,
                ),
            );
            if (count($values) < self::FEWEST) {
                continue;
            }
            sort($values);
            $band[] = [
                'at' => $at,
                'low' => self::quantile($values, 0.25),
                'median' => self::quantile($values, 0.5),
                'high' => self::quantile($values, 0.75),
            ];
        }

        return $band;
    }

    /** @param list<array{float, float}> $course */
    private static function at(array $course, float $at): ?float
    {
        foreach ($course as $i => [$time, $value]) {
            if ($time === $at) {
                return $value;
            }
            if ($time > $at) {
                if ($i === 0) {
                    return null;
                }
                [$before, $was] = $course[$i - 1];

                return $was + (($value - $was) * ($at - $before)) / ($time - $before);
            }
        }

        return null;
    }

    /** @param non-empty-list<float> $sorted */
    private static function quantile(array $sorted, float $share): float
    {
        $place = $share * (count($sorted) - 1);
        $below = (int) floor($place);
        $above = min($below + 1, count($sorted) - 1);

        return $sorted[$below] + ($place - $below) * ($sorted[$above] - $sorted[$below]);
    }
}
