<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

/** How the pH of a batch went: what is drawn, and what a forecast rests on. */
final readonly class PhCurve
{
    /**
     * @param list<array{float, float}> $points hours since the start and the worst trusted pH drawn at that time, times strictly increasing
     * @param float|null $newestU of the newest of them, k = 2; null where it is not known
     */
    public function __construct(public array $points, public ?float $newestU) {}

    /** @return array{float, float}|null */
    public function newest(): ?array
    {
        return $this->points === [] ? null : $this->points[count($this->points) - 1];
    }
}
