<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Contradiction;

/** The temperatures of calibration points undo their distance in pH. */
final class TemperaturesCancel extends \DomainException implements Contradiction
{
    public function __construct()
    {
        parent::__construct('The temperatures of the points cancel out their distance in pH, so no slope can be calculated.');
    }
}
