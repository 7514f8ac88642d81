<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Maths\LeastSquares;
use Rheacid\Core\Maths\Spread;
use Rheacid\Core\Numbers;

/** The response of one pair of meter and electrode, laid through one to five buffers. */
final readonly class CalibrationFit implements CalibrationFunction
{
    public const MOST_POINTS = 5;

    /** Two buffers nearer than this say nothing about a slope. Common practice, no source. */
    public const LEAST_DISTANCE_PH = 0.5;

    /** Below this share a least-squares slope is rounding noise around none at all. */
    private const NO_SLOPE = 1e-12;

    /**
     * @param non-empty-list<CalibrationPoint> $points ascending in pH
     * @param non-empty-list<Segment> $segments ascending in pH
     */
    private function __construct(public FitMethod $method, public array $points, public array $segments) {}

    /**
     * @param list<CalibrationPoint> $points one to five, in any order, buffers at least 0.5 pH apart
     *
     * @throws PointCount if there is no point or more than five
     * @throws BuffersTooNear if two buffers are under 0.5 pH apart
     */
    public static function through(array $points, FitMethod $method = FitMethod::Segments): self
    {
        if ($points === [] || count($points) > self::MOST_POINTS) {
            throw new PointCount(count($points));
        }
        usort($points, static fn(CalibrationPoint $a, CalibrationPoint $b): int => $a->bufferPh <=> $b->bufferPh);
        for ($i = 1; $i < count($points); $i++) {
            if (!Numbers::atLeast($points[$i]->bufferPh - $points[$i - 1]->bufferPh, self::LEAST_DISTANCE_PH)) {
                throw new BuffersTooNear($points[$i - 1]->bufferPh, $points[$i]->bufferPh);
            }
        }

        return new self($method, $points, match (true) {
            count($points) === 1 => [self::throughOne($points[0])],
            $method === FitMethod::Segments => self::neighbours($points),
            default => [self::throughAll($points)],
        });
    }

    /** The line through the first and the last point. */
    public function endToEnd(): Segment
    {
        return count($this->points) === 1
            ? $this->segments[0]
            : self::throughTwo($this->points[0], $this->points[count($this->points) - 1]);
    }

    public function referenceCelsius(): float
    {
        return array_sum(array_column($this->points, 'celsius')) / count($this->points);
    }

    /** @return array{float, float} lowest and highest buffer pH */
    public function bracket(): array
    {
        return [$this->points[0]->bufferPh, $this->points[count($this->points) - 1]->bufferPh];
    }

    public function spanPh(): float
    {
        [$low, $high] = $this->bracket();

        return $high - $low;
    }

    /** The segment that contains pH 7, else the nearest; with pH 7 on a joint, the acid side. */
    public function neutral(): Segment
    {
        return $this->segmentAt(7);
    }

    public function hasSlope(): bool
    {
        foreach ($this->segments as $segment) {
            if ($segment->share === 0.0) {
                return false;
            }
        }

        return true;
    }

    /** Whether the slope was measured at all: one buffer tells none, and 100 % is then only assumed. */
    public function hasMeasuredSlope(): bool
    {
        return count($this->points) > 1 && $this->hasSlope();
    }

    /** The segment that contains a pH; in a joint the acid side, outside all the nearest. */
    public function segmentAt(float $ph): Segment
    {
        foreach ($this->segments as $segment) {
            if (Numbers::atLeast($segment->toPh, $ph)) {
                return $segment;
            }
        }

        return $this->segments[count($this->segments) - 1];
    }

    public function zeroPointPh(): ?float
    {
        return $this->hasSlope() ? $this->neutral()->zeroPointPh($this->referenceCelsius()) : null;
    }

    /**
     * pH by the fit minus buffer pH, point by point in ascending pH; null each where the electrode has no slope.
     *
     * @return non-empty-list<float|null>
     */
    public function residuals(): array
    {
        $residuals = [];
        foreach ($this->points as $i => $point) {
            $segment = $this->segments[min($i, count($this->segments) - 1)];
            $residuals[] = $this->hasSlope() ? $segment->ph($point->mv, $point->celsius) - $point->bufferPh : null;
        }

        return $residuals;
    }

    public function largestResidual(): ?float
    {
        return $this->hasSlope() ? max(array_map(static fn(?float $residual): float => abs($residual ?? 0.0), $this->residuals())) : null;
    }

    /**
     * @param float|null $compensationCelsius what the meter compensated for; the sample's own temperature if null
     *
     * @throws NoSlope if any part of the calibration has no slope
     */
    public function read(float $mv, float $celsius, ?float $compensationCelsius = null): PhReading
    {
        $answers = array_map(static fn(Segment $segment): float => $segment->ph($mv, $compensationCelsius ?? $celsius), $this->segments);
        $index = $this->responsible($answers);

        return new PhReading($answers[$index], $index, $this->bracket());
    }

    public function tell(Signal $signal, float $celsius): PhReading
    {
        return $this->read($signal->mv ?? throw new WrongSignal(isMvNeeded: true), $celsius);
    }

    public function canTell(): bool
    {
        return $this->hasSlope();
    }

    public function buffers(): array
    {
        return array_map(static fn(CalibrationPoint $point): float => $point->bufferPh, $this->points);
    }

    public function leansOn(PhReading $reading): array
    {
        return [$this->segments[$reading->segment]->fromPh, $this->segments[$reading->segment]->toPh];
    }

    /** Largest residual/√3 for one line through several points; nothing for exact segments. Common practice, no source. */
    public function fitU(): float
    {
        return $this->method === FitMethod::Segments ? 0.0 : Spread::ofBound($this->largestResidual() ?? 0.0);
    }

    /**
     * Which segment answers: the one whose answer lies in its own range; in a joint, gap or overlap the acid side; below
     * all the first, above all the last.
     *
     * @param non-empty-list<float> $answers pH by each segment
     */
    private function responsible(array $answers): int
    {
        $last = count($answers) - 1;
        foreach ($answers as $i => $ph) {
            if (Numbers::atLeast($ph, $this->segments[$i]->fromPh) && Numbers::atMost($ph, $this->segments[$i]->toPh)) {
                return $i;
            }
        }
        for ($i = 0; $i < $last; $i++) {
            if ($answers[$i] > $this->segments[$i]->toPh && $answers[$i + 1] < $this->segments[$i + 1]->fromPh) {
                return $i;
            }
        }

        return $answers[0] < $this->segments[0]->fromPh ? 0 : $last;
    }

    private static function throughOne(CalibrationPoint $point): Segment
    {
        return new Segment($point->bufferPh, $point->bufferPh, $point->mv - self::lever($point), 1.0);
    }

    private static function throughTwo(CalibrationPoint $acid, CalibrationPoint $alkaline): Segment
    {
        $run = self::lever($alkaline) - self::lever($acid);
        if (abs($run) < Numbers::TOLERANCE) {
            throw new TemperaturesCancel();
        }
        $share = ($alkaline->mv - $acid->mv) / $run;

        return new Segment($acid->bufferPh, $alkaline->bufferPh, $acid->mv - $share * self::lever($acid), self::orNone($share));
    }

    /** @param non-empty-list<CalibrationPoint> $points */
    private static function throughAll(array $points): Segment
    {
        $line = LeastSquares::line(array_map(self::lever(...), $points), array_column($points, 'mv'))
            ?? throw new TemperaturesCancel();

        return new Segment($points[0]->bufferPh, $points[count($points) - 1]->bufferPh, $line->intercept, self::orNone($line->slope));
    }

    /**
     * @param non-empty-list<CalibrationPoint> $points
     *
     * @return non-empty-list<Segment>
     */
    private static function neighbours(array $points): array
    {
        $segments = [self::throughTwo($points[0], $points[1])];
        for ($i = 2; $i < count($points); $i++) {
            $segments[] = self::throughTwo($points[$i - 1], $points[$i]);
        }

        return $segments;
    }

    /** What an ideal electrode without offset would give there, in mV: −k(T)·(pH − 7). */
    private static function lever(CalibrationPoint $point): float
    {
        return -Nernst::mvPerPh($point->celsius) * ($point->bufferPh - 7);
    }

    private static function orNone(float $share): float
    {
        return abs($share) < self::NO_SLOPE ? 0.0 : $share;
    }
}
