<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** One buffer as the electrode saw it. */
final readonly class CalibrationPoint
{
    /**
     * @param float $bufferPh the buffer's pH at its temperature
     * @param float $mv electrode potential in mV, within ±1000
     * @param float|null $responseTimeS time until it read within half the band of its final value
     * @param bool $settled it stood still before it was taken
     * @param float|null $movedPh how far an unsettled one still moved in its last window; null where nobody can tell
     */
    public function __construct(
        public float $bufferPh,
        public float $mv,
        public float $celsius,
        public ?float $responseTimeS = null,
        public bool $settled = true,
        public ?float $movedPh = null,
    ) {}
}
