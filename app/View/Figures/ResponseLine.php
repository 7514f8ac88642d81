<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\Segment;
use Rheacid\Core\Numbers;

/** mV against pH: what the electrode gave, the line through it, the ideal line, and the wedge the policy allows. */
final readonly class ResponseLine
{
    public const HEIGHT = 280;

    public Scale $ph;
    public Scale $mv;

    /** @param list<CalibrationPoint> $checks */
    public function __construct(
        private CalibrationFit $fit,
        private Criteria $criteria,
        private array $checks,
        public int $width = Width::WIDE,
    ) {
        [$low, $high] = $fit->bracket();
        $this->ph = new Scale(floor($low - 0.6), ceil($high + 0.6), 58, $width - 16);
        $values = array_map(static fn(CalibrationPoint $point): float => $point->mv, [...$fit->points, ...$checks]);
        $ends = [$this->ideal($this->ph->low), $this->ideal($this->ph->high)];
        $this->mv = new Scale(min([...$values, ...$ends]) - 15, max([...$values, ...$ends]) + 15, self::HEIGHT - 32, 8);
    }

    public function narrow(): self
    {
        return new self($this->fit, $this->criteria, $this->checks, Width::NARROW);
    }

    /** @return list<array{x: float, y: float, fitted: bool}> */
    public function points(): array
    {
        $place = fn(CalibrationPoint $point, bool $fitted): array => [
            'x' => $this->ph->at($point->bufferPh),
            'y' => $this->mv->at($point->mv),
            'fitted' => $fitted,
        ];

        return [
            ...array_map(static fn(CalibrationPoint $point): array => $place($point, true), $this->fit->points),
            ...array_map(static fn(CalibrationPoint $point): array => $place($point, false), $this->checks),
        ];
    }

    /**
     * @return list<array{x1: float, y1: float, x2: float, y2: float, label: string|null}> each segment over its own range, its slope beside
     *     it
     */
    public function lines(): array
    {
        $celsius = $this->fit->referenceCelsius();

        return array_map(
            fn(Segment $segment): array => [
                'x1' => $this->ph->at($segment->fromPh),
                'y1' => $this->mv->at($segment->mv($segment->fromPh, $celsius)),
                'x2' => $this->ph->at($segment->toPh),
                'y2' => $this->mv->at($segment->mv($segment->toPh, $celsius)),
                'label' => $this->fit->hasMeasuredSlope() ? Numbers::fixed($segment->percent(), 1) . ' %' : null,
            ],
            $this->fit->segments,
        );
    }

    /** @return array{x1: float, y1: float, x2: float, y2: float} */
    public function idealLine(): array
    {
        return [
            'x1' => $this->ph->at($this->ph->low),
            'y1' => $this->mv->at($this->ideal($this->ph->low)),
            'x2' => $this->ph->at($this->ph->high),
            'y2' => $this->mv->at($this->ideal($this->ph->high)),
        ];
    }

    /** The slopes that the policy allows, turned about the electrode's own value at pH 7. */
    public function wedge(): string
    {
        $offset = $this->fit->neutral()->offsetMv;
        $at = fn(float $ph, float $percent): string => $this->ph->at($ph)
            . ' '
            . $this->mv->within($offset + ($this->ideal($ph) * $percent) / 100);
        [$low, $high] = [$this->criteria->lowestSlopePercent, $this->criteria->highestSlopePercent];
        $middle = $this->ph->within(7) . ' ' . $this->mv->within($offset);
        $parts = [];
        foreach ([$this->ph->low, $this->ph->high] as $end) {
            if (abs($end - 7) > 0.1) {
                $parts[] = "M$middle L{$at($end, $low)} L{$at($end, $high)} Z";
            }
        }

        return implode(' ', $parts);
    }

    private function ideal(float $ph): float
    {
        return -Nernst::mvPerPh($this->fit->referenceCelsius()) * ($ph - 7);
    }
}
