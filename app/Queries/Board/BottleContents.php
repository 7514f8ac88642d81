<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Rheacid\Core\Solutions\BufferFamily;

/** What is in a bottle on the board. */
final readonly class BottleContents
{
    /**
     * @param string|null $buffer its table; "printed" where it has its own
     * @param float|null $standardValue µS/cm at 25 °C, or mV
     * @param float $expandedU pH, k = 2
     */
    public function __construct(
        public ?string $buffer,
        public ?BufferFamily $family,
        public ?float $nominalPh,
        public ?float $standardValue,
        public float $expandedU,
    ) {}
}
