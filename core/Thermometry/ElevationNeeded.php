<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Contradiction;

/** A reduction to sea level that cannot be undone. */
final class ElevationNeeded extends \DomainException implements Contradiction
{
    public function __construct()
    {
        parent::__construct('To undo the reduction to sea level the elevation of the site is needed.');
    }
}
