<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;
use Rheacid\Core\Numbers;

/** No elevation of a kitchen. */
final class ElevationOutOfRange extends \DomainException implements BeyondRange
{
    public function __construct(public readonly float $metres)
    {
        parent::__construct(
            sprintf(
                '%s m is not a plausible elevation. Type %s to %s m.',
                Numbers::plain($metres),
                Numbers::plain(BoilingPoint::LOWEST_M),
                Numbers::plain(BoilingPoint::HIGHEST_M),
            ),
        );
    }
}
