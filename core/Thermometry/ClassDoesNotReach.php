<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;

/** A temperature outside the range of a tolerance class, °C. */
final class ClassDoesNotReach extends \DomainException implements BeyondRange
{
    public function __construct(
        public readonly string $standard,
        public readonly string $toleranceClass,
        public readonly float $low,
        public readonly float $high,
        public readonly float $celsius,
    ) {
        parent::__construct(sprintf('%s class %s covers %g to %g °C, not %g °C.', $standard, $toleranceClass, $low, $high, $celsius));
    }
}
