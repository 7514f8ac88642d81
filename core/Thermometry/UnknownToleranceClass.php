<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;

/** A standard without that class. */
final class UnknownToleranceClass extends \DomainException implements BeyondRange
{
    public function __construct(public readonly string $standard, public readonly string $toleranceClass, public readonly string $accepted)
    {
        parent::__construct(sprintf('%s has no class %s; accepted: %s.', $standard, $toleranceClass, $accepted));
    }
}
