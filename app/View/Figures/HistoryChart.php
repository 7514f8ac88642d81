<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Carbon\CarbonImmutable;
use Rheacid\Site\SiteClock;

/** A figure of an instrument over months: values, the band that the policy allows, and where a line is heading. */
final readonly class HistoryChart
{
    public const WIDTH = 760;
    public const HEIGHT = 190;

    private const LEFT = 58;
    private const RIGHT = 14;
    private const TOP = 12;
    private const BOTTOM = 26;

    public Scale $value;
    private Scale $time;
    private CarbonImmutable $from;
    private CarbonImmutable $to;

    /**
     * @param string $title what is drawn, with its unit
     * @param array<string, list<array{CarbonImmutable, float}>> $series by name, each in the order of time
     * @param float|null $low and $high of the band that is allowed
     * @param array{}|array{array{CarbonImmutable, float}, array{CarbonImmutable, float}} $trend the ends of a straight line
     * @param array{CarbonImmutable|null, CarbonImmutable|null}|null $reach earliest and latest of a forecast
     */
    public function __construct(
        public string $title,
        public array $series,
        public ?float $low,
        public ?float $high,
        private array $trend = [],
        private ?array $reach = null,
        private float $least = 1.0,
    ) {
        $points = array_merge($trend, ...array_values($series));
        $times = array_column($points, 0);
        $ends = array_values(array_filter($reach ?? []));
        $this->from = CarbonImmutable::instance(min([...$times, CarbonImmutable::now()->subDay()]));
        // A forecast far off would press the past into a corner.
        $this->to = CarbonImmutable::instance(
            min(max([...$times, ...$ends, CarbonImmutable::now()]), CarbonImmutable::now()->addMonths(8)),
        );
        $this->time = new Scale(0, max(1.0, $this->from->diffInHours($this->to)), self::LEFT, self::WIDTH - self::RIGHT);
        $values = [...array_column($points, 1), ...array_filter([$low, $high], is_float(...))];
        $values = $values === [] ? [0.0] : $values;
        $margin = max(0.08 * (max($values) - min($values)), $this->least / 2);
        $this->value = new Scale(min($values) - $margin, max($values) + $margin, self::HEIGHT - self::BOTTOM, self::TOP);
    }

    public function x(CarbonImmutable $at): float
    {
        return $this->time->within($this->from->diffInHours($at));
    }

    /** @return array{y: float, height: float}|null */
    public function band(): ?array
    {
        if ($this->low === null && $this->high === null) {
            return null;
        }
        $top = $this->value->at($this->high ?? $this->value->high);

        return ['y' => $top, 'height' => $this->value->at($this->low ?? $this->value->low) - $top];
    }

    /** @param list<array{CarbonImmutable, float}> $points */
    public function path(array $points): string
    {
        return $points === []
            ? ''
            : 'M' . implode(' L', array_map(fn(array $point): string => $this->x($point[0]) . ' ' . $this->value->at($point[1]), $points));
    }

    /** As far as the drawing reaches; a line that goes on beyond it keeps its slope. */
    public function trend(): string
    {
        if ($this->trend === [] || $this->trend[1][0] <= $this->to) {
            return $this->path($this->trend);
        }
        [[$from, $start], [$until, $end]] = $this->trend;

        return $this->path([
            [$from, $start],
            [$this->to, $start + (($end - $start) * $from->diffInHours($this->to)) / $from->diffInHours($until)],
        ]);
    }

    /** @return array{x: float, width: float}|null the span in which a limit is met */
    public function reach(): ?array
    {
        if ($this->reach === null || $this->reach[0] === null || $this->reach[0] > $this->to) {
            return null;
        }
        $from = $this->x($this->reach[0]);

        return ['x' => $from, 'width' => max(2.0, $this->x($this->reach[1] ?? $this->to) - $from)];
    }

    /** @return list<array{x: float, label: string}> */
    public function months(): array
    {
        $every = max(1, (int) ceil($this->from->diffInMonths($this->to) / 8));
        $labels = [];
        for ($month = SiteClock::local($this->from)->startOfMonth()->addMonth(); $month <= $this->to; $month = $month->addMonths($every)) {
            $labels[] = ['x' => $this->x($month), 'label' => $month->format($month->month <= $every ? 'M Y' : 'M')];
        }

        return $labels;
    }

    public function decimals(): int
    {
        return match (true) {
            $this->value->step(4) >= 1 => 0,
            $this->value->step(4) >= 0.1 => 1,
            default => 2,
        };
    }
}
