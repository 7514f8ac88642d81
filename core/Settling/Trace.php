<?php

declare(strict_types=1);

namespace Rheacid\Core\Settling;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Nernst;

/** What one immersion gave: seconds, mV (or what a cell reads) and °C, in the order of time. */
final readonly class Trace
{
    /** @param non-empty-list<array{float, float, float}> $points [s, mV, °C] */
    private function __construct(public array $points) {}

    /** @param list<array{float, float, float}> $points [s, mV, °C], at least one */
    public static function of(array $points): self
    {
        return new self($points === [] ? throw new \LogicException('A trace has at least one point.') : $points);
    }

    /** As far as the person at the bench had seen it. */
    public function until(float $seconds): self
    {
        $seen = array_values(array_filter($this->points, static fn(array $point): bool => $point[0] <= $seconds));

        return $seen === [] ? $this : new self($seen);
    }

    public function lastSecond(): float
    {
        return $this->points[count($this->points) - 1][0];
    }

    /** @return non-empty-list<array{float, float}> [s, pH] by a calibration, or by an ideal electrode where there is none */
    public function inPh(?CalibrationFit $by): array
    {
        return array_map(static fn(array $point): array => [
            $point[0],
            $by === null ? 7 - $point[1] / Nernst::mvPerPh($point[2]) : $by->read($point[1], $point[2])->ph,
        ], $this->points);
    }

    public function progress(?CalibrationFit $by, float $windowS = Settling::WINDOW_S): TraceProgress
    {
        return SettlingCriterion::ph($by)->progress($this, $windowS);
    }
}
