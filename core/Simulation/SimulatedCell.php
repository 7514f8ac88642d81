<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

use Rheacid\Core\Settling\Trace;

/** A conductivity cell or redox electrode in a cup: the same cell, cup and seed always give the same trace. Invented for practice. */
final readonly class SimulatedCell
{
    private const LONGEST_S = 900;

    /**
     * @param float $target what it tends to, in µS/cm as read or mV
     * @param float $from where it stood before
     * @param float $noiseShare of the target, standard deviation
     */
    public function __construct(
        private float $target,
        private float $from,
        private float $celsius,
        private float $timeConstantS,
        private float $noiseShare,
        private int $seed,
    ) {}

    public function trace(float $elapsedS): Trace
    {
        $noise = new Noise($this->seed);
        $points = [];
        for ($t = 0; $t <= min(max($elapsedS, 0), self::LONGEST_S); $t++) {
            $value
                = $this->target
                + ($this->from - $this->target) * exp(-$t / $this->timeConstantS)
                + $this->noiseShare * abs($this->target) * $noise->next();
            $points[] = [(float) $t, round($value, 1), round($this->celsius, 1)];
        }

        return Trace::of($points);
    }
}
