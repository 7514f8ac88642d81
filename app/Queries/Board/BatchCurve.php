<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

/** The small figure in a row of a batch. */
final readonly class BatchCurve
{
    /**
     * @param list<array{float, float}> $points the newest trusted pH, by hours since the batch began
     * @param float|null $expandedU of the last of them
     * @param array{low: float|null, high: float|null, from: float, met: bool}|null $wall the limit that is drawn beside them
     */
    public function __construct(public array $points = [], public ?float $expandedU = null, public ?array $wall = null) {}
}
