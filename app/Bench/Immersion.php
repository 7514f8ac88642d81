<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Carbon\CarbonImmutable;

/** The electrode's stay in one cup of the simulated bench. */
final readonly class Immersion
{
    /**
     * @param int $pours by which the sample was degassed before
     * @param bool $isDiluted whether a paste was stirred into water before
     * @param bool $isPieces whether the pieces are in the cup, not what is around them
     */
    public function __construct(
        public int $id,
        public int $electrodeId,
        public int $cupId,
        public CarbonImmutable $at,
        public int $speed,
        public float $fromMv,
        public int $pours = 0,
        public bool $isDiluted = false,
        public bool $isPieces = false,
    ) {}
}
