<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

use Rheacid\Core\Limits\Stage;

/** What was read of one quantity at one stage of a batch. */
final readonly class Sampled
{
    /**
     * @param float $lastHours h since the batch began, of the newest occasion
     * @param int $mostPlaces of one occasion
     */
    public function __construct(
        public string $measurand,
        public string $basis,
        public Stage $stage,
        public float $lastHours,
        public int $mostPlaces,
    ) {}
}
