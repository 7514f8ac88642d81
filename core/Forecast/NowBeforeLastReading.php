<?php

declare(strict_types=1);

namespace Rheacid\Core\Forecast;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Numbers;

/** A clock that stands before what was read by it. */
final class NowBeforeLastReading extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $nowH, public readonly float $lastH)
    {
        parent::__construct(sprintf('Now (%s h) is before the last reading (%s h).', Numbers::plain($nowH), Numbers::plain($lastH)));
    }
}
