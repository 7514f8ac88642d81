<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Failure;

/** An acidity per litre was asked for per kilogram, or the other way round: that takes a density, which nobody gave. */
final class AcidityBasisDiffers extends \DomainException implements Failure
{
    public function __construct()
    {
        parent::__construct('An acidity per litre is not converted into one per kilogram, nor the other way round.');
    }
}
