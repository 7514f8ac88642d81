<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Limits\ReleaseBlock;

/** The check that speaks for a thermometer, as it stood when it was read. */
final readonly class ThermometerFacts
{
    /** @param float $expandedU k = 2, °C */
    public function __construct(public float $expandedU, public bool $isFailed, public bool $isOverdue, public float $verifiedLowC, public float $verifiedHighC) {}

    /** @return list<ReleaseBlock> what keeps it from vouching for a temperature */
    public function blocks(float $celsius): array
    {
        return array_values(array_filter([
            $this->isFailed ? ReleaseBlock::ThermometerFailed : null,
            $this->isOverdue ? ReleaseBlock::ThermometerOverdue : null,
            $celsius < $this->verifiedLowC || $celsius > $this->verifiedHighC ? ReleaseBlock::ThermometerNotCovering : null,
        ]));
    }
}
