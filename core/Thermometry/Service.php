<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** How a thermometer is used, as far as its interval depends on it. */
final readonly class Service
{
    /**
     * @param int $startDays the interval of a new thermometer
     * @param list<Stress> $stresses what it suffers
     * @param int|null $capDays the longest interval that a third party allows
     * @param bool $eachBatch checked before and after every batch, whatever the interval
     */
    public function __construct(
        public int $startDays,
        public array $stresses = [],
        public ?int $capDays = null,
        public bool $eachBatch = false,
    ) {}
}
