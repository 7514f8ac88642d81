<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;

/** What no thermometer shows in such a bath, °C. */
final class ImpossibleReading extends \DomainException implements BeyondRange
{
    public function __construct(public readonly float $reading, public readonly float $expected, public readonly float $furthest)
    {
        parent::__construct(
            sprintf(
                '%.1f °C is not plausible where %.1f °C is expected (within %.0f °C). Check the probe, the plug and the bath.',
                $reading,
                $expected,
                $furthest,
            ),
        );
    }
}
