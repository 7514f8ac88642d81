<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

use Rheacid\Core\BeyondRange;

/** There is no guess beyond a table. */
final class OutsideTable extends \DomainException implements BeyondRange
{
    public function __construct(public readonly float $x, public readonly float $low, public readonly float $high)
    {
        parent::__construct(sprintf('%s is outside the table, which covers %s to %s.', $x, $low, $high));
    }
}
