<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;

/** How a thermometer on the board is used, and what it is certified for. */
final readonly class ThermometerUse
{
    /** @param float|null $certifiedU °C, k = 2 */
    public function __construct(
        public ?string $place,
        public bool $eachBatch,
        public ?int $intervalDays,
        public ?CarbonImmutable $certifiedUntil,
        public ?float $certifiedU,
    ) {}
}
