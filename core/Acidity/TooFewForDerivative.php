<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\BeyondRange;

/** Too few points to find the steepest. */
final class TooFewForDerivative extends \DomainException implements BeyondRange
{
    public function __construct(int $fewest)
    {
        parent::__construct("A derivative needs at least $fewest points of the curve.");
    }
}
