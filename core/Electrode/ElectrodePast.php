<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What is known of an electrode before the run that is diagnosed. */
final readonly class ElectrodePast
{
    /**
     * @param bool $wasCleaned cleaned since the calibration before
     * @param bool $isFalling its slope has been falling over months
     */
    public function __construct(public bool $wasCleaned = false, public bool $isFalling = false) {}
}
