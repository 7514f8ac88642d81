<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/** A pH told by a calibration, and where it stands against the buffers that carry it. */
final readonly class PhReading
{
    /** @param array{float, float} $bracket */
    public function __construct(public float $ph, public int $segment, private array $bracket) {}

    public function insideBracket(): bool
    {
        return Numbers::atLeast($this->ph, $this->bracket[0]) && Numbers::atMost($this->ph, $this->bracket[1]);
    }

    /** Distance to the nearest buffer of the bracket in pH; 0 inside. */
    public function outsideByPh(): float
    {
        return $this->insideBracket() ? 0.0 : max($this->bracket[0] - $this->ph, $this->ph - $this->bracket[1]);
    }
}
