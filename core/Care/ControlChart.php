<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Maths\Spread;

/**
 * A series of check results with warning lines at two and action lines at three standard deviations, and the rule of seven
 * in a row on one side. Source of the scheme: W. A. Shewhart; lines and run length as in ISO 7870-2 practice, from memory.
 */
final readonly class ControlChart
{
    /** With fewer results the deviation is taken from the limit. Common practice, no source. */
    private const ENOUGH = 8;
    private const RUN = 7;

    /** A deviation below a tenth of the limit is the display's, not the work's. Common practice, no source. */
    private const FINEST = 10;

    /** @param list<ChartSignal|null> $signals one for each value; null where nothing is to be said */
    private function __construct(public float $centre, public float $deviation, public array $signals) {}

    /**
     * @param list<float> $values in the order of time
     * @param float $limit what a single value may be off; a third of it stands in for the deviation at first
     */
    public static function of(array $values, float $limit): self
    {
        $known = count($values) >= self::ENOUGH;
        $centre = $known ? array_sum($values) / count($values) : 0.0;
        $deviation = $known ? max(Spread::deviation($values), $limit / self::FINEST) : $limit / 3;
        $signals = [];
        $side = 0;
        $run = 0;
        foreach ($values as $value) {
            $here = $value <=> $centre;
            $run = $here === $side && $here !== 0 ? $run + 1 : 1;
            $side = $here;
            $signals[] = match (true) {
                abs($value - $centre) > 3 * $deviation => ChartSignal::Act,
                $run >= self::RUN => ChartSignal::OneSide,
                abs($value - $centre) > 2 * $deviation => ChartSignal::Warn,
                default => null,
            };
        }

        return new self($centre, $deviation, $signals);
    }
}
