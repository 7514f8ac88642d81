<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Contradiction;

/** A reduction to sea level that cannot be undone. */
final class ElevationNeeded extends \DomainException implements Contradiction
{
    public function __construct()
    {
        parent::__construct('The elevation of the site is needed to correct a sea-level pressure.');
    }
}
