<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Contradiction;

/** Every buffer gave the same potential. */
final class NoSlope extends \DomainException implements Contradiction
{
    public function __construct()
    {
        parent::__construct('The calibration has no slope: every buffer gave the same mV, so no pH can be calculated.');
    }
}
