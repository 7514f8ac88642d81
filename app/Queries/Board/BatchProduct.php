<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

/** The product of a batch on the board. */
final readonly class BatchProduct
{
    /** @param float $expectedLow and $expectedHigh pH at which such a batch is usually read */
    public function __construct(public string $name, public string $code, public float $expectedLow, public float $expectedHigh) {}
}
