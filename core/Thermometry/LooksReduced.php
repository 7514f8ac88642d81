<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Contradiction;

/** A pressure that is too high for its place. */
final class LooksReduced extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $kpa, public readonly float $siteM, public readonly float $usualKpa)
    {
        parent::__construct(
            sprintf(
                '%.1f kPa is high for %.0f m, where about %.1f kPa is usual. If it is reduced to sea level, as in weather reports, choose '
                    . 'that below.',
                $kpa,
                $siteM,
                $usualKpa,
            ),
        );
    }
}
