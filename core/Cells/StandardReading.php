<?php

declare(strict_types=1);

namespace Rheacid\Core\Cells;

/** A conductivity cell in a standard. */
final readonly class StandardReading
{
    /**
     * @param float $standardUsPerCm25 of the standard at 25 °C
     * @param float $usPerCm as the cell reads it
     * @param float $percentPerC by which it is compensated here; 0 where the pen has done so itself
     */
    public function __construct(
        public float $standardUsPerCm25,
        public float $usPerCm,
        public float $celsius,
        public float $percentPerC = Conductivity::PERCENT_PER_C,
    ) {}

    /** What the standard has at its temperature, in µS/cm. */
    public function standardAtItsTemperature(): float
    {
        return $this->standardUsPerCm25 * Conductivity::share($this->celsius, $this->percentPerC);
    }
}
