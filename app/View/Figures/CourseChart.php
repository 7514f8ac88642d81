<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

/** Temperatures of a batch against hours since its start, one line for each point, thinned. */
final readonly class CourseChart
{
    public const HEIGHT = 240;

    public Scale $hours;
    public Scale $celsius;

    /** @param non-empty-list<array{name: string, points: list<array{float, float}>}> $lines */
    public function __construct(public array $lines, public int $width = Width::WIDE)
    {
        $points = array_merge(...array_column($lines, 'points'));
        $hours = $points === [] ? [0.0, 1.0] : array_column($points, 0);
        $values = $points === [] ? [0.0, 30.0] : array_column($points, 1);
        $this->hours = new Scale(min($hours), max(max($hours), min($hours) + 0.5), 52, $width - 12);
        $this->celsius = new Scale(floor(min($values) - 1), ceil(max($values) + 1), self::HEIGHT - 34, 14);
    }

    public function narrow(): self
    {
        return new self($this->lines, Width::NARROW);
    }

    /** @param list<array{float, float}> $points */
    public function path(array $points): string
    {
        return $points === [] ? '' : 'M' . implode(' L', array_map(fn(array $point): string => $this->hours->at($point[0]) . ' ' . $this->celsius->at($point[1]), $points));
    }
}
