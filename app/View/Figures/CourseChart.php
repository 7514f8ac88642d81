<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

/** Temperatures of a batch against hours since its start, one line for each point, thinned. */
final readonly class CourseChart
{
    public const HEIGHT = 240;
    private const HAIR_H = 0.01;

    public Scale $hours;
    public Scale $celsius;

    /**
     * @param non-empty-list<array{name: string, points: list<array{float, float}>}> $lines
     * @param list<array{float, float}> $gaps hours from and to of which nobody knows the temperature
     */
    public function __construct(public array $lines, public array $gaps = [], public int $width = Width::WIDE)
    {
        $points = array_merge(...array_column($lines, 'points'));
        $hours = $points === [] ? [0.0, 1.0] : [...array_column($points, 0), ...array_merge(...$gaps)];
        $values = $points === [] ? [0.0, 30.0] : array_column($points, 1);
        $this->hours = new Scale(min($hours), max(max($hours), min($hours) + 0.5), 52, $width - 12);
        $this->celsius = new Scale(floor(min($values) - 1), ceil(max($values) + 1), self::HEIGHT - 34, 14);
    }

    public function narrow(): self
    {
        return new self($this->lines, $this->gaps, Width::NARROW);
    }

    /**
     * Broken where a gap parts two points.
     *
     * @param list<array{float, float}> $points
     */
    public function path(array $points): string
    {
        $path = '';
        foreach ($points as $i => [$hours, $celsius]) {
            $isParted
                = $i === 0
                || array_filter(
                    $this->gaps,
                    static fn(array $gap): bool => $gap[0] >= $points[$i - 1][0] - self::HAIR_H && $gap[1] <= $hours + self::HAIR_H,
                ) !== [];
            $path .= ($isParted ? ' M' : ' L') . $this->hours->at($hours) . ' ' . $this->celsius->at($celsius);
        }

        return ltrim($path);
    }
}
