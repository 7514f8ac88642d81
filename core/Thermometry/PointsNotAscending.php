<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Contradiction;

/** The low point of a correction is not below the high one. */
final class PointsNotAscending extends \DomainException implements Contradiction
{
    public function __construct(public readonly bool $isReference)
    {
        parent::__construct(
            sprintf('The %s of the low point must be below that of the high point.', $isReference ? 'reference' : 'reading'),
        );
    }
}
