<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** One control check as it is seen from a reading. */
final readonly class ControlCheckFacts
{
    /** @param int $samplesBetween readings on the calibration between the check and the reading */
    public function __construct(public \DateTimeImmutable $at, public bool $passed, public float $errorPh, public int $samplesBetween) {}
}
