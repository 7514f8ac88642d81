<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;

/** What no thermometer shows in such a bath, °C. */
final class ImpossibleReading extends \DomainException implements BeyondRange
{
    public function __construct(public readonly float $reading, public readonly float $expected, public readonly float $furthest)
    {
        parent::__construct(sprintf('%.1f °C cannot be where %.1f °C is expected: readings within %.0f °C of it are accepted. Look at the probe, the plug and the bath.', $reading, $expected, $furthest));
    }
}
