<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Acidity\TitrationCurve;

/** pH against mL of titrant with its endpoint, and beneath it how steep it is. */
final readonly class TitrationFigure
{
    public const HEIGHT = 330;
    private const CURVE_FOOT = 210;

    public Scale $ml;
    public Scale $ph;
    public Scale $steep;

    /** @var list<array{float, float}> */
    public array $derivative;

    /** @var non-empty-list<array{float, float}> mL and pH */
    public array $points;

    public function __construct(
        private TitrationCurve $curve,
        public float $endpointMl,
        public float $endpointPh,
        public int $width = Width::WIDE,
    ) {
        $points = $this->points = $curve->points;
        $this->derivative = $curve->derivative();
        $this->ml = new Scale($points[0][0], max($points[count($points) - 1][0], $points[0][0] + 0.1), 52, $width - 14);
        $values = array_column($points, 1);
        $this->ph = new Scale(floor(min($values)), ceil(max($values)), self::CURVE_FOOT, 14);
        $this->steep = new Scale(
            min([0.0, ...array_column($this->derivative, 1)]),
            max([0.1, ...array_column($this->derivative, 1)]),
            self::HEIGHT - 34,
            self::CURVE_FOOT + 26,
        );
    }

    public function narrow(): self
    {
        return new self($this->curve, $this->endpointMl, $this->endpointPh, Width::NARROW);
    }

    /** @param list<array{float, float}> $points */
    public function path(array $points, Scale $scale): string
    {
        return $points === []
            ? ''
            : 'M' . implode(' L', array_map(fn(array $point): string => $this->ml->at($point[0]) . ' ' . $scale->at($point[1]), $points));
    }
}
