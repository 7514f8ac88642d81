<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Maths\Pchip;

/** Value against dose of a bench trial, and the dose that was found. */
final readonly class TrialCurve
{
    public const HEIGHT = 240;
    private const STEPS = 60;

    public Scale $dose;
    public Scale $value;

    /**
     * @param non-empty-list<array{float, float}> $trial doses strictly increasing
     * @param array{float, float} $point
     */
    public function __construct(public array $trial, public array $point, public int $width = Width::WIDE)
    {
        $values = array_column($trial, 1);
        $spread = max($values) - min($values);
        $this->dose = new Scale($trial[0][0], $trial[count($trial) - 1][0], 60, $width - 16);
        $this->value = new Scale(min($values) - 0.08 * $spread, max($values) + 0.08 * $spread, self::HEIGHT - 34, 14);
    }

    public function narrow(): self
    {
        return new self($this->trial, $this->point, Width::NARROW);
    }

    public function path(): string
    {
        $curve = Pchip::through($this->trial);
        $points = array_map(function (int $i) use ($curve): string {
            $dose = min($this->dose->low + ($this->dose->high - $this->dose->low) * $i / self::STEPS, $this->dose->high);

            return $this->dose->at($dose) . ' ' . $this->value->at($curve->at($dose));
        }, range(0, self::STEPS));

        return 'M' . implode(' L', $points);
    }
}
