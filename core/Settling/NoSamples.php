<?php

declare(strict_types=1);

namespace Rheacid\Core\Settling;

use Rheacid\Core\BeyondRange;

/** Nothing to judge. */
final class NoSamples extends \DomainException implements BeyondRange
{
    public function __construct()
    {
        parent::__construct('At least one sample is needed.');
    }
}
