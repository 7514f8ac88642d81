<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Numbers;

/** A range without extent. */
final class LowNotBelowHigh extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $low, public readonly float $high)
    {
        parent::__construct(sprintf('low (%s) must be below high (%s).', Numbers::plain($low), Numbers::plain($high)));
    }
}
