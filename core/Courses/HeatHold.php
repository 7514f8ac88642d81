<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/** The longest unbroken time at which a record, less its uncertainty, stood at a temperature: what a heat limit asks for. */
final readonly class HeatHold
{
    /** A silence longer than this ends a hold: nobody knows what was between. */
    private const GAP_MIN = 5.0;

    private function __construct(public float $longestMinutes, public bool $isMet, public ?float $fromMinute, public ?float $toMinute) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [min, °C], minutes strictly increasing
     * @param float $expandedU °C, taken off
     * @param float $minutes for which it has to hold, above 0
     *
     * @throws TimesNotIncreasing
     */
    public static function of(array $temperatures, float $expandedU, float $minimumC, float $minutes): self
    {
        [$longest, $from, $to] = [0.0, null, null];
        foreach (self::holds($temperatures, $minimumC + $expandedU, min(self::GAP_MIN, $minutes)) as [$start, $end]) {
            if ($end - $start > $longest + Numbers::TOLERANCE) {
                [$longest, $from, $to] = [$end - $start, $start, $end];
            }
        }

        return new self($longest, $longest > 0 && Numbers::atLeast($longest, $minutes), $from, $to);
    }

    /**
     * @param non-empty-list<array{float, float}> $temperatures
     *
     * @return list<array{float, float}> minutes from and to, in their order
     */
    private static function holds(array $temperatures, float $needed, float $longestGap): array
    {
        $holds = [];
        $start = Numbers::atLeast($temperatures[0][1], $needed) ? $temperatures[0][0] : null;
        for ($i = 1; $i < count($temperatures); $i++) {
            [[$from, $a], [$to, $b]] = [$temperatures[$i - 1], $temperatures[$i]];
            if ($to <= $from) {
                throw new TimesNotIncreasing($i);
            }
            [$isHot, $staysHot] = [Numbers::atLeast($a, $needed), Numbers::atLeast($b, $needed)];
            if (!Numbers::atMost($to - $from, $longestGap)) {
                if ($start !== null) {
                    $holds[] = [$start, $from];
                }
                $start = $staysHot ? $to : null;
            } elseif ($isHot !== $staysHot) {
                $crossing = min($to, max($from, $from + ($needed - $a) / ($b - $a) * ($to - $from)));
                if ($staysHot) {
                    $start = $crossing;
                } elseif ($start !== null) {
                    $holds[] = [$start, $crossing];
                    $start = null;
                }
            }
        }
        if ($start !== null) {
            $holds[] = [$start, $temperatures[count($temperatures) - 1][0]];
        }

        return $holds;
    }
}
