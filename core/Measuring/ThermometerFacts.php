<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Limits\ReleaseBlock;

/** The check that speaks for a thermometer, as it stood when it was read. */
final readonly class ThermometerFacts
{
    /**
     * @param float $expandedU k = 2, °C
     * @param bool $isBathTold somebody has said how the bath of the check was made
     */
    public function __construct(
        public float $expandedU,
        public bool $isFailed,
        public bool $isOverdue,
        public float $verifiedLowC,
        public float $verifiedHighC,
        public bool $isBathTold = true,
    ) {}

    /** @return list<ReleaseBlock> what keeps it from vouching for a temperature */
    public function blocks(float $celsius): array
    {
        return array_values(
            array_filter([
                $this->isFailed ? ReleaseBlock::ThermometerFailed : null,
                $this->isOverdue ? ReleaseBlock::ThermometerOverdue : null,
                $this->isBathTold ? null : ReleaseBlock::BathUntold,
                $celsius < $this->verifiedLowC || $celsius > $this->verifiedHighC ? ReleaseBlock::ThermometerNotCovering : null,
            ]),
        );
    }
}
