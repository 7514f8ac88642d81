<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Numbers;

/** A curve that ends before its endpoint. */
final class EndpointNotReached extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $ph, float $first, float $last)
    {
        parent::__construct(
            sprintf(
                'The curve runs from pH %s to %s and does not reach %s. Titrate further.',
                Numbers::plain($first),
                Numbers::plain($last),
                Numbers::plain($ph),
            ),
        );
    }
}
