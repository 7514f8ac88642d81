<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;

/** A date beyond all sense. */
final class IntervalTooLong extends \DomainException implements BeyondRange
{
    public function __construct(public readonly int $days, public readonly int $longest)
    {
        parent::__construct(sprintf('%d days are no interval; up to %d are accepted.', $days, $longest));
    }
}
