<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

/** The true condition of a simulated electrode, which nobody at the bench can see. */
final readonly class ElectrodeCondition
{
    /**
     * @param float $slopeShare fraction of the ideal slope, 1 for new glass
     * @param float $timeConstantS first-order response of the clean glass
     * @param float $slowShare part of each step that comes slowly, as through a coating; 0–1
     * @param float $noiseMv standard deviation of the noise
     * @param float $driftMvPerMinute of the junction
     * @param float $sensorErrorC what its temperature sensor shows too much
     */
    public function __construct(
        public float $slopeShare,
        public float $offsetMv,
        public float $timeConstantS,
        public float $slowShare,
        public float $slowTimeConstantS,
        public float $noiseMv,
        public float $driftMvPerMinute,
        public int $seed,
        public float $sensorErrorC = 0.0,
    ) {}

    /** The same glass where everything takes so many times as long. */
    public function slowed(float $times): self
    {
        return new self(
            $this->slopeShare,
            $this->offsetMv,
            $this->timeConstantS * $times,
            $this->slowShare,
            $this->slowTimeConstantS * $times,
            $this->noiseMv,
            $this->driftMvPerMinute,
            $this->seed,
            $this->sensorErrorC,
        );
    }
}
