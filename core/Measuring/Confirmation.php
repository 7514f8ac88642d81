<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Solutions\BufferFamily;

/** A check buffer that agreed with a calibration. */
final readonly class Confirmation
{
    /**
     * @param float $bufferPh at its temperature
     * @param float $celsius in the cup
     * @param bool $isOtherThermometer its temperature was read in the cup by a verified thermometer other than that of the run
     */
    public function __construct(
        public float $bufferPh,
        public BufferFamily $family,
        public float $celsius,
        public bool $isOtherThermometer,
    ) {}
}
