<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

/** A burette that is opened by a careful hand: large steps far from the endpoint, small ones near it. Invented, of the simulated bench. */
final readonly class SimulatedBurette
{
    /** Simulated seconds from one addition to the next, so that the electrode becomes stable. */
    public const EACH_S = 15.0;

    private const STEPS_ML = [0.5, 0.2, 0.1, 0.05];
    private const RISE_PH = 0.25;
    private const UNTIL_PH = 10.0;
    private const HOLDS_ML = 50.0;

    public function __construct(private AcidSolution $solution, private float $sampleMl, private float $normality) {}

    /**
     * What stands on the bench after so many simulated seconds.
     *
     * @return non-empty-list<array{float, float}> mL added and true pH
     */
    public function points(float $elapsedS): array
    {
        $ml = 0.0;
        $points = [[0.0, $this->ph(0.0)]];
        $left = (int) floor($elapsedS / self::EACH_S);
        while ($left-- > 0 && !self::isPast($points) && !self::isEmpty($points)) {
            $ml = round($ml + $this->step($ml), 2);
            $points[] = [$ml, $this->ph($ml)];
        }

        return $points;
    }

    /**
     * Whether nothing is added any more, past every endpoint.
     *
     * @param non-empty-list<array{float, float}> $points
     */
    public static function isPast(array $points): bool
    {
        return $points[count($points) - 1][1] >= self::UNTIL_PH;
    }

    /**
     * Whether nothing is left in it.
     *
     * @param non-empty-list<array{float, float}> $points
     */
    public static function isEmpty(array $points): bool
    {
        return $points[count($points) - 1][0] >= self::HOLDS_ML;
    }

    private function step(float $ml): float
    {
        foreach (self::STEPS_ML as $step) {
            if ($this->ph($ml + $step) - $this->ph($ml) <= self::RISE_PH) {
                return $step;
            }
        }

        return self::STEPS_ML[count(self::STEPS_ML) - 1];
    }

    private function ph(float $ml): float
    {
        return $this->solution->titrated($this->sampleMl, $ml, $this->normality);
    }
}
