<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

/** How the slope of a pair has gone, on the board. */
final readonly class PairTrend
{
    /**
     * @param float $lowest slope that its policy allows, in percent
     * @param list<float> $slopes in percent, oldest first
     * @param string|null $leavesPolicyOn day on which its line meets the lowest slope
     */
    public function __construct(public float $lowest, public array $slopes, public ?string $leavesPolicyOn) {}
}
