<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

use Rheacid\Core\Contradiction;

/** A table that cannot be interpolated. */
final class TooFewPoints extends \DomainException implements Contradiction
{
    public function __construct()
    {
        parent::__construct('A table needs at least two points.');
    }
}
