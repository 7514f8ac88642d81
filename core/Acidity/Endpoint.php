<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** Where a titration ends. */
final readonly class Endpoint
{
    /** @param bool $isCoarse the curve is too coarse there to tell it well */
    public function __construct(public float $ml, public float $ph, public bool $isCoarse) {}
}
