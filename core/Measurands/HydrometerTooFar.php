<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

use Rheacid\Core\Failure;

/** The liquid is too cold or too warm for a hydrometer to be corrected. */
final class HydrometerTooFar extends \DomainException implements Failure
{
    public function __construct(public readonly float $celsius)
    {
        parent::__construct(
            sprintf(
                'Read a hydrometer between %g and %g °C. Bring the sample closer to 20 °C and read it again.',
                Hydrometer::LOW_C,
                Hydrometer::HIGH_C,
            ),
        );
    }
}
