<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Carbon\CarbonImmutable;

/** The electrode's stay in one cup of the simulated bench. */
final readonly class Immersion
{
    public function __construct(
        public int $id,
        public int $electrodeId,
        public int $cupId,
        public CarbonImmutable $at,
        public int $speed,
        public float $fromMv,
    ) {}
}
