<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;
use Rheacid\Core\Numbers;

/** No air pressure of a kitchen. */
final class PressureOutOfRange extends \DomainException implements BeyondRange
{
    public function __construct(public readonly float $kpa)
    {
        parent::__construct(
            sprintf(
                '%s kPa is not a plausible air pressure. Type %s to %s kPa.',
                Numbers::plain($kpa),
                Numbers::plain(BoilingPoint::LEAST_KPA),
                Numbers::plain(BoilingPoint::MOST_KPA),
            ),
        );
    }
}
