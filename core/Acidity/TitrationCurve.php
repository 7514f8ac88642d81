<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Maths\Turning;
use Rheacid\Core\Numbers;

/** pH against the volume of titrant, and where it reaches an endpoint. */
final readonly class TitrationCurve
{
    /**
     * Ends of the segment in which a fixed endpoint is first reached are farther apart than this: the endpoint is guessed more than read.
     */
    public const COARSE_PH = 0.5;

    private const FEWEST_FOR_DERIVATIVE = 5;

    /** @param non-empty-list<array{float, float}> $points [mL, pH] */
    private function __construct(public array $points) {}

    /**
     * @param non-empty-list<array{float, float}> $points [mL ≥ 0, pH as the meter showed it], volumes strictly increasing
     * @param float|null $sampleC and $compensationC °C of the sample, and that for which the meter compensated; null: the same
     *
     * @throws VolumesNotIncreasing
     */
    public static function through(array $points, ?float $sampleC = null, ?float $compensationC = null): self
    {
        if ($sampleC !== null && $compensationC !== null) {
            $points = array_map(
                static fn(array $point): array => [$point[0], Nernst::compensated($point[1], $sampleC, $compensationC)],
                $points,
            );
        }
        for ($i = 1; $i < count($points); $i++) {
            if ($points[$i][0] <= $points[$i - 1][0]) {
                throw new VolumesNotIncreasing($i);
            }
        }

        return new self($points);
    }

    /**
     * Where a fixed pH is first reached, by a line between the two points around it.
     *
     * @throws EndpointNotReached
     */
    public function reaches(float $ph): Endpoint
    {
        if ($this->points[0][1] === $ph) {
            return new Endpoint($this->points[0][0], $ph, false);
        }
        for ($i = 1; $i < count($this->points); $i++) {
            [[$before, $low], [$after, $high]] = [$this->points[$i - 1], $this->points[$i]];
            if (($low - $ph) * ($high - $ph) <= 0) {
                return new Endpoint(
                    $before + (($after - $before) * ($ph - $low)) / ($high - $low),
                    $ph,
                    !Numbers::atMost(abs($high - $low), self::COARSE_PH),
                );
            }
        }
        throw new EndpointNotReached($ph, $this->points[0][1], $this->points[count($this->points) - 1][1]);
    }

    /**
     * The steepest place: the vertex of the parabola through the largest ΔpH/ΔmL at the middles of the segments and its two neighbours.
     *
     * @throws TooFewForDerivative|SteepestAtEnd
     */
    public function steepest(): Endpoint
    {
        if (count($this->points) < self::FEWEST_FOR_DERIVATIVE) {
            throw new TooFewForDerivative(self::FEWEST_FOR_DERIVATIVE);
        }
        $slopes = $this->derivative();
        $steepness = array_column($slopes, 1);
        assert($steepness !== []);
        $at = (int) array_search(max($steepness), $steepness, true);
        if ($at === 0 || $at === count($slopes) - 1) {
            throw new SteepestAtEnd($at === 0);
        }
        $ml = Turning::point($slopes[$at - 1], $slopes[$at], $slopes[$at + 1]);

        return new Endpoint($ml, $this->at($ml), false);
    }

    /** @return list<array{float, float}> mL at the middle of each segment, and pH/mL there */
    public function derivative(): array
    {
        $slopes = [];
        for ($i = 1; $i < count($this->points); $i++) {
            [[$a, $low], [$b, $high]] = [$this->points[$i - 1], $this->points[$i]];
            $slopes[] = [($a + $b) / 2, ($high - $low) / ($b - $a)];
        }

        return $slopes;
    }

    /** pH by a line between its points. */
    private function at(float $ml): float
    {
        $i = 1;
        while ($i < count($this->points) - 1 && $this->points[$i][0] < $ml) {
            $i++;
        }
        [[$a, $low], [$b, $high]] = [$this->points[$i - 1], $this->points[$i]];

        return $low + (($high - $low) * ($ml - $a)) / ($b - $a);
    }
}
