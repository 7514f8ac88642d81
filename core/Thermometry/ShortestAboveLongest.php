<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Contradiction;

/** An interval policy whose bounds are the wrong way round. */
final class ShortestAboveLongest extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $minDays, public readonly int $maxDays)
    {
        parent::__construct(sprintf('The shortest interval (%d days) must not be above the longest (%d days).', $minDays, $maxDays));
    }
}
