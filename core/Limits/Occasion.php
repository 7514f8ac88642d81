<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** What decides which limits an occasion is judged by. */
final readonly class Occasion
{
    /**
     * @param array<string, float> $hoursSince hours from each step that is on record to the moment of drawing; negative where it was drawn
     * before
     * @param array<string, bool> $conditions how they were answered for the batch
     * @param list<string> $metInTime limits that an earlier occasion of the batch has met by their deadline
     * @param array<string, float|null> $disposed by name: limits about whose missed deadline a lead has decided, with the hours that were
     * given instead
     * @param list<array{measurand: string, basis: string}> $open quantities whose places are not all read
     * @param list<string> $awaited limits that another open occasion will answer, drawn by their deadline
     */
    public function __construct(
        public Stage $stage,
        public array $hoursSince = [],
        public array $conditions = [],
        public array $metInTime = [],
        public array $disposed = [],
        public array $open = [],
        public array $awaited = [],
    ) {}

    /** @param list<string> $limits that another open occasion will answer, drawn by their deadline */
    public function awaiting(array $limits): self
    {
        return new self($this->stage, $this->hoursSince, $this->conditions, $this->metInTime, $this->disposed, $this->open, $limits);
    }

    /** Whether places of the quantity that a limit bounds are still to be read. */
    public function isOpenFor(ProductLimit $limit): bool
    {
        return array_filter(
            $this->open,
            static fn(array $quantity): bool => $quantity['measurand'] === $limit->measurand && $quantity['basis'] === $limit->basis,
        ) !== [];
    }

    /** Whether a lead lets it stand that the deadline was missed, without more time. */
    public function isMissForgiven(string $limit): bool
    {
        return array_key_exists($limit, $this->disposed) && $this->disposed[$limit] === null;
    }
}
