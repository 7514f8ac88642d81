<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/**
 * Lethal units of a heat treatment: ∫ 10^((T − U − base)/z) dt in minutes at the base temperature, T linear between points and the
 * integral exact. Bigelow's model of a constant z; pasteurisation units of beer with base 60 °C and z 7 °C are common practice.
 */
final readonly class Lethality
{
    /** Pasteurisation units: minutes at 60 °C, z in °C. Common practice, no source. */
    public const BEER_BASE_C = 60.0;
    public const BEER_Z_C = 7.0;

    /** A silence longer than this counts nothing: nobody knows how cold it was. Common practice, no source. */
    public const GAP_MIN = 5.0;

    /** @param list<array{float, float}> $gaps minutes from and to */
    private function __construct(public float $unitsMin, public array $gaps) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [min, °C], minutes strictly increasing
     * @param float $expandedU °C, taken off
     * @param float $zC °C for ten times the effect, above 0
     * @param float $gapMinutes the longest silence, above 0
     * @param float|null $beginMinute and $endMinute outside which nothing counts
     *
     * @throws TimesNotIncreasing
     */
    public static function of(
        array $temperatures,
        float $expandedU,
        float $baseC,
        float $zC,
        float $gapMinutes = self::GAP_MIN,
        ?LeftOut $leftOut = null,
        ?float $beginMinute = null,
        ?float $endMinute = null,
    ): self {
        $leftOut ??= LeftOut::nothing();
        $units = 0.0;
        $gaps = [];
        for ($i = 1; $i < count($temperatures); $i++) {
            [[$a, $atA], [$b, $atB]] = [$temperatures[$i - 1], $temperatures[$i]];
            if ($b <= $a) {
                throw new TimesNotIncreasing($i);
            }
            [$from, $to] = [max($a, $beginMinute ?? $a), min($b, $endMinute ?? $b)];
            if ($to <= $from) {
                continue;
            }
            if (!Numbers::atMost($b - $a, $gapMinutes) || $leftOut->touches($a, $b)) {
                $gaps[] = [$from, $to];
                continue;
            }
            $exponent = static fn(float $minute): float => (($atA + (($atB - $atA) * ($minute - $a)) / ($b - $a) - $expandedU - $baseC)
                / $zC)
                * M_LN10;
            $units += ($to - $from) * self::mean($exponent($from), $exponent($to));
        }

        return new self($units, $gaps);
    }

    /** The mean of e^x on a line from one exponent to another. */
    private static function mean(float $from, float $to): float
    {
        $step = $to - $from;

        // expm1 keeps its digits where the line is nearly level.
        return exp($from) * ($step === 0.0 ? 1.0 : expm1($step) / $step);
    }
}
