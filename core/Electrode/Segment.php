<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** A stretch of pH on which the electrode follows mv = offset − share·k(T)·(pH − 7), k(T) being the ideal slope. */
final readonly class Segment
{
    /** @param float $share slope as a fraction of the ideal one */
    public function __construct(
        public float $fromPh,
        public float $toPh,
        public float $offsetMv,
        public float $share,
    ) {}

    public function percent(): float
    {
        return 100 * $this->share;
    }

    public function lengthPh(): float
    {
        return $this->toPh - $this->fromPh;
    }

    /** mV per pH at that temperature; negative for a working electrode. */
    public function mvPerPh(float $celsius): float
    {
        return -$this->share * Nernst::mvPerPh($celsius);
    }

    /** pH at which the potential is zero at that temperature; null for an electrode without slope. */
    public function zeroPointPh(float $celsius): ?float
    {
        return $this->share === 0.0 ? null : 7 + $this->offsetMv / ($this->share * Nernst::mvPerPh($celsius));
    }

    /** @throws NoSlope if the electrode has no slope, so that no pH can be told */
    public function ph(float $mv, float $celsius): float
    {
        if ($this->share === 0.0) {
            throw new NoSlope();
        }

        return 7 + ($this->offsetMv - $mv) / ($this->share * Nernst::mvPerPh($celsius));
    }

    public function mv(float $ph, float $celsius): float
    {
        return $this->offsetMv - $this->share * Nernst::mvPerPh($celsius) * ($ph - 7);
    }
}
