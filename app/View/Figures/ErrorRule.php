<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Celsius;

/** The error of a thermometer as a plumb line with whiskers between its tolerance walls. */
final readonly class ErrorRule
{
    public const HEIGHT = 118;

    private Scale $error;

    public function __construct(private float $errorC, private float $expandedU, private float $toleranceC, public int $width = Width::WIDE)
    {
        $reach = max(1.5 * $toleranceC, 1.15 * (abs($errorC) + $expandedU));
        $this->error = new Scale(-$reach, $reach, 30, $width - 30);
    }

    public function narrow(): self
    {
        return new self($this->errorC, $this->expandedU, $this->toleranceC, Width::NARROW);
    }

    public function x(float $celsius): float
    {
        return $this->error->within($celsius);
    }

    /** @return array{low: float, high: float, label: string} */
    public function walls(): array
    {
        return [
            'low' => $this->x(-$this->toleranceC),
            'high' => $this->x($this->toleranceC),
            'label' => Celsius::bareBy($this->toleranceC),
        ];
    }

    /** @return array{x: float, from: float, to: float} */
    public function plumb(): array
    {
        return [
            'x' => $this->x($this->errorC),
            'from' => $this->x($this->errorC - $this->expandedU),
            'to' => $this->x($this->errorC + $this->expandedU),
        ];
    }

    /** @return list<float> */
    public function ticks(): array
    {
        return array_map($this->x(...), $this->error->ticks($this->error->step(20)));
    }

    public function words(): string
    {
        return sprintf(
            'Error %s with uncertainty %s, tolerance %s',
            Celsius::by($this->errorC, 2),
            Celsius::by($this->expandedU, 2),
            Celsius::by($this->toleranceC),
        );
    }
}
