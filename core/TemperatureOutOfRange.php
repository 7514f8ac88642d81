<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** A temperature outside the range in which the answer is known, °C. */
final class TemperatureOutOfRange extends \DomainException implements BeyondRange
{
    public function __construct(public readonly float $celsius, public readonly float $low, public readonly float $high)
    {
        parent::__construct(
            sprintf('%s °C is outside the range %s to %s °C.', Numbers::plain($celsius), Numbers::plain($low), Numbers::plain($high)),
        );
    }
}
