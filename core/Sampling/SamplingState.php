<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

/** How a line of a sampling plan stands. */
final readonly class SamplingState
{
    /**
     * @param bool $isMissing it is due and was not read, or not often enough
     * @param float|null $lastHours h since the batch began, when it was read last; null: never
     * @param float|null $dueInHours h, negative: overdue; null where it waits for its stage
     */
    public function __construct(public SamplingLine $line, public bool $isMissing, public ?float $lastHours, public ?float $dueInHours) {}
}
