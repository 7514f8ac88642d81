<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\BeyondRange;

/** A typed quantity that is not understood, or cannot be. */
final class QuantityRefused extends \DomainException implements BeyondRange
{
    public function __construct(public readonly Quantity $quantity, public readonly string $why)
    {
        parent::__construct("$why {$quantity->accepted()}");
    }
}
