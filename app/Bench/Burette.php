<?php

declare(strict_types=1);

namespace Rheacid\Bench;

/** A run of the simulated burette, as far as it has come. */
final readonly class Burette
{
    /**
     * @param non-empty-list<array{float, float}> $points mL and pH as the meter shows it
     * @param bool $isPast whether it was closed past every endpoint
     * @param bool $isEmpty whether nothing is left in it
     */
    public function __construct(
        public int $id,
        public float $sampleMl,
        public int $speed,
        public array $points,
        public bool $isPast,
        public bool $isEmpty,
    ) {}

    /** As it is typed into the form: one point a line. */
    public function typed(): string
    {
        return implode("\n", array_map(static fn(array $point): string => sprintf('%.2F; %.2F', ...$point), $this->points));
    }
}
