<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/** How long a record, with its uncertainty on top, lay above a temperature. What nobody recorded counts as above. */
final readonly class TimeBeyond
{
    public const GAP_H = 24.0;

    /** @param list<array{float, float}> $gaps hours from and to */
    private function __construct(public float $hours, public array $gaps) {}

    /**
     * @param non-empty-list<array{float, float}> $temperatures [h, °C], hours strictly increasing
     * @param float $expandedU °C, counted on top
     * @param float $gapH the longest silence, above 0
     *
     * @throws TimesNotIncreasing
     */
    public static function of(array $temperatures, float $expandedU, float $limitC, float $gapH = self::GAP_H, ?LeftOut $leftOut = null): self
    {
        $leftOut ??= LeftOut::nothing();
        $hours = 0.0;
        $gaps = [];
        for ($i = 1; $i < count($temperatures); $i++) {
            [[$a, $atA], [$b, $atB]] = [$temperatures[$i - 1], $temperatures[$i]];
            if ($b <= $a) {
                throw new TimesNotIncreasing($i);
            }
            $isGap = !Numbers::atMost($b - $a, $gapH) || $leftOut->touches($a, $b);
            if ($isGap) {
                $gaps[] = [$a, $b];
            }
            $hours += ($b - $a) * ($isGap ? 1.0 : self::share($atA + $expandedU - $limitC, $atB + $expandedU - $limitC));
        }

        return new self($hours, $gaps);
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
