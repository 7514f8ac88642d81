<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

use Rheacid\Core\Electrode\Segment;
use Rheacid\Core\Settling\Trace;

/** An electrode put into a cup: the same condition, cup and seed always give the same trace. */
final readonly class SimulatedImmersion
{
    /** Longer than anybody watches a reading. */
    public const LONGEST_S = 900;

    private const TEMPERATURE_NOISE_C = 0.03;

    /**
     * @param float $solutionPh what is truly in the cup, at its temperature
     * @param float $fromMv where the electrode stood before
     * @param int $seed of this immersion; the electrode's own is added
     */
    public function __construct(
        private ElectrodeCondition $electrode,
        private float $solutionPh,
        private float $celsius,
        private float $fromMv,
        private int $seed,
    ) {}

    /** The potential it tends to, without noise and drift, in mV. */
    public function restMv(): float
    {
        return (new Segment(0, 14, $this->electrode->offsetMv, $this->electrode->slopeShare))->mv($this->solutionPh, $this->celsius);
    }

    /**
     * One point a second from the moment of immersion.
     *
     * @param float $elapsedS seconds since then, simulated
     * @param float $resolutionMv the meter's last digit
     */
    public function trace(float $elapsedS, float $resolutionMv = 0.1): Trace
    {
        $noise = new Noise($this->electrode->seed * 1_000_003 + $this->seed);
        $step = $this->fromMv - $this->restMv();
        $points = [];
        for ($t = 0; $t <= min(max($elapsedS, 0), self::LONGEST_S); $t++) {
            $mv = $this->restMv()
                + $step * (1 - $this->electrode->slowShare) * exp(-$t / $this->electrode->timeConstantS)
                + $step * $this->electrode->slowShare * exp(-$t / $this->electrode->slowTimeConstantS)
                + $this->electrode->driftMvPerMinute * $t / 60
                + $this->electrode->noiseMv * $noise->next();
            $points[] = [
                (float) $t,
                round(round($mv / $resolutionMv) * $resolutionMv, 6),
                round($this->celsius + $this->electrode->sensorErrorC + self::TEMPERATURE_NOISE_C * $noise->next(), 1),
            ];
        }

        return Trace::of($points);
    }
}
