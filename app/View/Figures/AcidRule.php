<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Numbers;

/**
 * The ruler of the pH range that matters: calibrated bracket, buffers, limits as walls, target band, earlier readings, and
 * the reading as a plumb line with whiskers. Works out the geometry; the template draws.
 */
final readonly class AcidRule
{
    public const HEIGHT = 150;
    public const LINE_Y = 112;

    /** So much of the scale is always seen, in pH. */
    private const LEAST_SPAN_PH = 0.8;

    public Scale $scale;

    /**
     * @param list<float> $buffers pH of the calibration's buffers
     * @param list<Wall> $walls
     * @param list<float> $earlier
     */
    public function __construct(
        public ?float $value,
        public ?float $expandedU,
        public array $buffers,
        public array $walls,
        public array $earlier = [],
        public int $width = Width::WIDE,
    ) {
        [$low, $high] = $this->window();
        $this->scale = new Scale($low, $high, 20, $this->width - 20);
    }

    public function narrow(): self
    {
        return new self($this->value, $this->expandedU, $this->buffers, $this->walls, $this->earlier, Width::NARROW);
    }

    /** @return array{float, float} what is seen: the reading with its whiskers and the nearest wall; without a reading, all there is */
    private function window(): array
    {
        $edges = $this->allEdges();
        if ($this->value === null) {
            $marks = [...$this->buffers, ...$edges];

            return $marks === [] ? [3.0, 8.0] : [floor(min($marks) * 2 - 0.3) / 2, ceil(max($marks) * 2 + 0.3) / 2];
        }
        $u = $this->expandedU ?? 0.0;
        usort($edges, fn(float $a, float $b): int => abs($a - $this->value) <=> abs($b - $this->value));
        $marks = [$this->value - $u, $this->value + $u, ...array_slice($edges, 0, 1)];
        $span = max($marks) - min($marks);
        $pad = max((self::LEAST_SPAN_PH - $span) / 2, 0.25 * $span, 0.15);

        return [max(-1.0, min($marks) - $pad), min(15.0, max($marks) + $pad)];
    }

    /** @return list<float> */
    private function allEdges(): array
    {
        $edges = [];
        foreach ($this->walls as $wall) {
            array_push($edges, ...array_filter([$wall->limit->low, $wall->limit->high], is_float(...)));
        }

        return $edges;
    }

    public function isSeen(float $ph): bool
    {
        return $ph >= $this->scale->low - 1e-9 && $ph <= $this->scale->high + 1e-9;
    }

    /**
     * Walls to draw: one for each edge of a limit that is no target, due if any limit with that edge is.
     *
     * @return list<array{x: float, from: float, to: float, due: bool, binds: bool, label: string, row: int, anchor: string}>
     */
    public function edges(): array
    {
        $edges = [];
        foreach ($this->walls as $wall) {
            if ($wall->limit->kind === LimitKind::Target) {
                continue;
            }
            $isHigh = $wall->limit->high !== null;
            $edge = (float) ($wall->limit->high ?? $wall->limit->low);
            if (!$this->isSeen($edge)) {
                continue;
            }
            $key = ($isHigh ? 'high' : 'low') . $edge . ($wall->limit->kind->binds() ? '' : 'soft');
            $x = $this->scale->at($edge);
            $edges[$key] ??= [
                'x' => $x,
                'from' => $isHigh ? $x : 20.0,
                'to' => $isHigh ? $this->width - 20.0 : $x,
                'due' => false,
                'binds' => $wall->limit->kind->binds(),
                'label' => $wall->label(),
                'row' => 0,
                'anchor' => 'start',
            ];
            $edges[$key]['due'] = $edges[$key]['due'] || $wall->isDue;
        }
        $edges = array_values($edges);
        usort($edges, static fn(array $a, array $b): int => $a['x'] <=> $b['x']);
        foreach ($edges as $i => $edge) {
            $edges[$i]['row'] = $i > 0 && $edge['x'] - $edges[$i - 1]['x'] < 110 ? 1 - $edges[$i - 1]['row'] : 0;
            $edges[$i]['anchor'] = $edge['x'] > $this->width - 110 ? 'end' : 'start';
        }

        return $edges;
    }

    /**
     * Where hatching begins: behind the first wall that is due and binds, so that walls do not lie on one another.
     *
     * @return list<array{x: float, width: float}>
     */
    public function hatched(): array
    {
        $hatched = [];
        $high = array_filter($this->edges(), static fn(array $edge): bool => $edge['due'] && $edge['binds'] && $edge['to'] > $edge['x']);
        $low = array_filter($this->edges(), static fn(array $edge): bool => $edge['due'] && $edge['binds'] && $edge['from'] < $edge['x']);
        if ($high !== []) {
            $x = min(array_column($high, 'x'));
            $hatched[] = ['x' => $x, 'width' => $this->width - 20 - $x];
        }
        if ($low !== []) {
            $x = max(array_column($low, 'x'));
            $hatched[] = ['x' => 20.0, 'width' => $x - 20];
        }

        return $hatched;
    }

    /**
     * Before a binding wall that is due: so near to it a reading is not proven.
     *
     * @return list<array{x: float, width: float}>
     */
    public function guards(): array
    {
        $guards = [];
        foreach ($this->walls as $wall) {
            if (!$wall->isDue || !$wall->limit->kind->binds() || $this->expandedU === null) {
                continue;
            }
            foreach ([[$wall->limit->high, -$this->expandedU], [$wall->limit->low, $this->expandedU]] as [$edge, $u]) {
                if ($edge !== null && $this->isSeen($edge)) {
                    $x = [$this->scale->within($edge), $this->scale->within($edge + $u)];
                    $guards[(string) $edge] = ['x' => min($x), 'width' => max($x) - min($x)];
                }
            }
        }

        return array_values($guards);
    }

    /** @return array{x: float, width: float, label: string}|null */
    public function target(): ?array
    {
        foreach ($this->walls as $wall) {
            if ($wall->limit->kind === LimitKind::Target && $wall->limit->low !== null && $wall->limit->high !== null) {
                $x = $this->scale->within($wall->limit->low);
                $width = $this->scale->within($wall->limit->high) - $x;

                return $width <= 0 ? null : ['x' => $x, 'width' => $width, 'label' => 'recipe ' . $wall->label()];
            }
        }

        return null;
    }

    /** @return array{x: float, width: float}|null */
    public function bracket(): ?array
    {
        if ($this->buffers === []) {
            return null;
        }
        $x = $this->scale->within(min($this->buffers));
        $width = $this->scale->within(max($this->buffers)) - $x;

        return $width <= 0 && !$this->isSeen(min($this->buffers)) ? null : ['x' => $x, 'width' => max(2.0, $width)];
    }

    /** @return list<array{x: float, length: int, label: string|null}> */
    public function ticks(): array
    {
        $step = $this->scale->step((int) ($this->width / 70));
        $decimals = $step < 1 ? 1 : 0;

        return [
            ...array_map(
                fn(float $ph): array => ['x' => $this->scale->at($ph), 'length' => 4, 'label' => null],
                $this->scale->high - $this->scale->low > 3 ? [] : $this->scale->ticks(0.1),
            ),
            ...array_map(
                fn(float $ph): array => ['x' => $this->scale->at($ph), 'length' => 10, 'label' => Numbers::fixed($ph, $decimals)],
                $this->scale->ticks(max(0.1, $step)),
            ),
        ];
    }

    /** @return list<float> of the buffers, those that are seen */
    public function notches(): array
    {
        return array_values(array_filter($this->buffers, $this->isSeen(...)));
    }

    /** What the drawing shows, for those who cannot see it. */
    public function words(): string
    {
        $parts = [];
        if ($this->value !== null) {
            $parts[]
                = 'pH '
                . Numbers::fixed($this->value, 2)
                . ($this->expandedU === null ? '' : ' plus or minus ' . Numbers::fixed($this->expandedU, 2));
        }
        if ($this->buffers !== []) {
            $parts[] = sprintf('calibrated from %s to %s', Numbers::fixed(min($this->buffers), 2), Numbers::fixed(max($this->buffers), 2));
        }
        foreach ($this->walls as $wall) {
            $parts[] = sprintf('%s %s%s', $wall->limit->kind->value, $wall->label(), $wall->isDue ? '' : ', not due yet');
        }

        return implode('; ', array_unique($parts)) . '.';
    }
}
