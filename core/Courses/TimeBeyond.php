<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/** How long a record, with its uncertainty on top, lay above a temperature. What nobody recorded counts as above. */
final readonly class TimeBeyond
{
    public const GAP_H = 24.0;

    /** h: what a limit of a product takes for a silence where it names none. Common practice, no source. */
    public const SILENCE_H = 1.0;

    /** @param list<array{float, float}> $gaps hours from and to */
    private function __construct(public float $hours, public array $gaps) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [h, °C], hours strictly increasing
     * @param float $expandedU °C, counted on top
     * @param float $gapH the longest silence, above 0
     * @param float|null $fromH when counting begins: what nobody recorded before the first temperature counts as above
     * @param float|null $toH when it ends: what nobody recorded after the last counts as above
     *
     * @throws TimesNotIncreasing
     */
    public static function of(
        array $temperatures,
        float $expandedU,
        float $limitC,
        float $gapH = self::GAP_H,
        ?LeftOut $leftOut = null,
        ?float $fromH = null,
        ?float $toH = null,
    ): self {
        $leftOut ??= LeftOut::nothing();
        $hours = 0.0;
        $gaps = [];
        [$first, $last] = [$temperatures[0][0], $temperatures[count($temperatures) - 1][0]];
        foreach ([[$fromH ?? $first, min($first, $toH ?? $first)], [max($last, $fromH ?? $last), $toH ?? $last]] as [$from, $to]) {
            if ($to > $from) {
                $gaps[] = [$from, $to];
                $hours += $to - $from;
            }
        }
        for ($i = 1; $i < count($temperatures); $i++) {
            [[$a, $atA], [$b, $atB]] = [$temperatures[$i - 1], $temperatures[$i]];
            if ($b <= $a) {
                throw new TimesNotIncreasing($i);
            }
            $isGap = !Numbers::atMost($b - $a, $gapH) || $leftOut->touches($a, $b);
            [$from, $to] = [max($a, $fromH ?? $a), min($b, $toH ?? $b)];
            if ($to <= $from) {
                continue;
            }
            if ($isGap) {
                $gaps[] = [$from, $to];
            }
            $excess = static fn(float $hour): float => $atA + (($atB - $atA) * ($hour - $a)) / ($b - $a) + $expandedU - $limitC;
            $hours += ($to - $from) * ($isGap ? 1.0 : self::share($excess($from), $excess($to)));
        }
        usort($gaps, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return new self($hours, $gaps);
    }

    /** Of these hours those that are on record: the rest is what nobody recorded. */
    public function recordedHours(): float
    {
        return $this->hours - array_sum(array_map(static fn(array $gap): float => $gap[1] - $gap[0], $this->gaps));
    }

    /** Of a line from one excess to another the share that lies above 0. */
    private static function share(float $from, float $to): float
    {
        [$isAbove, $staysAbove] = [!Numbers::atMost($from, 0.0), !Numbers::atMost($to, 0.0)];

        return match (true) {
            $isAbove === $staysAbove => $isAbove ? 1.0 : 0.0,
            $isAbove => min(1.0, $from / ($from - $to)),
            default => min(1.0, $to / ($to - $from)),
        };
    }
}
