<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

/** A buffer that an answer leans on: its pH, and how well that is known (k = 2). */
final readonly class BufferValue
{
    public function __construct(public float $ph, public float $expandedU) {}
}
