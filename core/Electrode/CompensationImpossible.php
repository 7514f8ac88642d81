<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Numbers;

/** A temperature compensation that would divide by nothing. */
final class CompensationImpossible extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $percentPerC, public readonly float $celsius)
    {
        parent::__construct(
            sprintf('%s %% per °C leaves nothing at %s °C; 2 %% per °C is usual.', Numbers::plain($percentPerC), Numbers::plain($celsius)),
        );
    }
}
