<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\SettlingCriterion;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Settling\TraceProgress;

/** A reading against time in a funnel of what it still moved from each moment on, which narrows as the reading becomes stable. */
final readonly class SettlingTrace
{
    public const HEIGHT = 205;

    /** At most so many points are drawn; the judging uses all. */
    private const DRAWN = 300;

    /** @var non-empty-list<array{float, float}> [s, value] */
    private array $points;
    public Scale $time;
    public Scale $value;

    public function __construct(
        private Trace $trace,
        public TraceProgress $progress,
        public SettlingCriterion $in,
        public float $windowS,
        public int $width = Width::WIDE,
    ) {
        $this->points = $in->values($trace);
        $values = array_column($this->points, 1);
        [$low, $high] = self::near(
            array_map(
                static fn(array $point): float => $point[1],
                array_filter($this->points, static fn(array $point): bool => $point[0] >= $trace->lastSecond() - $windowS),
            ),
            $in->band,
        ) ?? [min($values), max($values)];
        $middle = ($high + $low) / 2;
        $half = max(2.5 * $in->band, ($high - $low) / 2 + $in->band);
        $this->time = new Scale(0, max(90.0, $trace->lastSecond() * 1.04), 58, $width - 14);
        $this->value = new Scale($middle - $half, $middle + $half, self::HEIGHT - 34, 10);
    }

    public function narrow(): self
    {
        return new self($this->trace, $this->progress, $this->in, $this->windowS, Width::NARROW);
    }

    /**
     * Once the newest points lie near together, only they matter: the drawing zooms to the band.
     *
     * @param array<int, float> $newest
     *
     * @return array{float, float}|null
     */
    private static function near(array $newest, float $band): ?array
    {
        return count($newest) > 5 && max($newest) - min($newest) <= 3 * $band ? [min($newest), max($newest)] : null;
    }

    public function line(): string
    {
        return 'M'
            . implode(
                ' L',
                array_map(fn(array $point): string => $this->time->at($point[0]) . ' ' . $this->value->within($point[1]), $this->drawn()),
            );
    }

    /** Upper edge forwards, lower edge backwards: the highest and lowest from each moment on, half the band around them. */
    public function funnel(): string
    {
        $upper = [];
        $lower = [];
        $highest = -INF;
        $lowest = INF;
        foreach (array_reverse($this->drawn()) as [$second, $value]) {
            $highest = max($highest, $value);
            $lowest = min($lowest, $value);
            $upper[] = $this->time->at($second) . ' ' . $this->value->within($highest + $this->in->band / 2);
            $lower[] = $this->time->at($second) . ' ' . $this->value->within($lowest - $this->in->band / 2);
        }

        return 'M' . implode(' L', [...$upper, ...array_reverse($lower)]) . ' Z';
    }

    /** @return list<float> */
    public function seconds(): array
    {
        return $this->time->ticks(
            match (true) {
                $this->time->high <= 200 => 30,
                $this->time->high <= 400 => 60,
                default => 120,
            },
        );
    }

    /** @return array{x: float, y: float} */
    public function end(): array
    {
        [$second, $value] = $this->points[count($this->points) - 1];

        return ['x' => $this->time->at($second), 'y' => $this->value->at($value)];
    }

    public function latest(): float
    {
        return $this->points[count($this->points) - 1][1];
    }

    public function stillForS(): float
    {
        return min($this->windowS, $this->progress->settled ? $this->windowS : $this->progress->settling->stillForS);
    }

    /** Share of the window that it has stood still, 0–100. */
    public function ring(): float
    {
        return round(($this->stillForS() / $this->windowS) * 100, 1);
    }

    public function words(): string
    {
        $moved = Numbers::fixed($this->progress->settling->rangeInWindow, $this->in->decimals + 1);
        $window = Numbers::plain($this->windowS);

        return $this->progress->settled
            ? "stable: changed by $moved in $window s"
            : sprintf('changed by %s in the last %s s; %s is allowed', $moved, $window, Numbers::plain(round($this->in->band, 2)));
    }

    /** @return list<array{float, float}> */
    private function drawn(): array
    {
        $every = max(1, (int) ceil(count($this->points) / self::DRAWN));
        $last = count($this->points) - 1;

        return array_values(
            array_filter($this->points, static fn(int $i): bool => $i % $every === 0 || $i === $last, ARRAY_FILTER_USE_KEY),
        );
    }
}
