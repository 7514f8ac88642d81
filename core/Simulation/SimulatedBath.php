<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

/** A probe in a bath of the simulated bench: the same probe, bath and seed always give the same trace. Invented for practice. */
final readonly class SimulatedBath
{
    private const ROOM_C = 21.0;

    /**
     * @param float $bathC what the bath truly has where the probe stands
     * @param float $offsetC and $gain by which the probe errs
     * @param float $timeConstantS first-order response
     * @param float $noiseC standard deviation
     */
    public function __construct(
        private float $bathC,
        private float $offsetC,
        private float $gain,
        private float $timeConstantS,
        private float $noiseC,
        private int $seed,
    ) {}

    /** @return non-empty-list<array{float, float}> [s, °C], one a second, to the display's digit */
    public function trace(float $elapsedS, float $digitC): array
    {
        $noise = new Noise($this->seed);
        $points = [];
        $t = 0;
        do {
            $true = $this->bathC + (self::ROOM_C - $this->bathC) * exp(-$t / $this->timeConstantS);
            $points[] = [
                (float) $t,
                round(round(($true * $this->gain + $this->offsetC + $this->noiseC * $noise->next()) / $digitC) * $digitC, 6),
            ];
            $t++;
        } while ($t <= $elapsedS);

        return $points;
    }
}
