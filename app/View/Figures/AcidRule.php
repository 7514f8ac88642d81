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
    public const WIDTH = 760;
    public const HEIGHT = 150;
    public const LINE_Y = 112;

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
    ) {
        $edges = [];
        foreach ($walls as $wall) {
            array_push($edges, ...array_filter([$wall->limit->low, $wall->limit->high], is_float(...)));
        }
        $marks = [...$buffers, ...$edges, ...$earlier, ...($value === null ? [] : [$value - ($expandedU ?? 0), $value + ($expandedU ?? 0)])];
        $low = $marks === [] ? 3.0 : min($marks);
        $high = $marks === [] ? 8.0 : max($marks);
        $this->scale = new Scale(max(-1, floor($low * 2 - 0.3) / 2), min(15, ceil($high * 2 + 0.3) / 2), 20, self::WIDTH - 20);
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
            $key = ($isHigh ? 'high' : 'low') . $edge . ($wall->limit->kind->binds() ? '' : 'soft');
            $x = $this->scale->at($edge);
            $edges[$key] ??= ['x' => $x, 'from' => $isHigh ? $x : 20.0, 'to' => $isHigh ? self::WIDTH - 20.0 : $x, 'due' => false, 'binds' => $wall->limit->kind->binds(), 'label' => $wall->label(), 'row' => 0, 'anchor' => 'start'];
            $edges[$key]['due'] = $edges[$key]['due'] || $wall->isDue;
        }
        $edges = array_values($edges);
        usort($edges, static fn(array $a, array $b): int => $a['x'] <=> $b['x']);
        foreach ($edges as $i => $edge) {
            $edges[$i]['row'] = $i > 0 && $edge['x'] - $edges[$i - 1]['x'] < 110 ? 1 - $edges[$i - 1]['row'] : 0;
            $edges[$i]['anchor'] = $edge['x'] > self::WIDTH - 110 ? 'end' : 'start';
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
            $hatched[] = ['x' => $x, 'width' => self::WIDTH - 20 - $x];
        }
        if ($low !== []) {
            $x = max(array_column($low, 'x'));
            $hatched[] = ['x' => 20.0, 'width' => $x - 20];
        }

        return $hatched;
    }

    /** @return array{x: float, width: float, label: string}|null */
    public function target(): ?array
    {
        foreach ($this->walls as $wall) {
            if ($wall->limit->kind === LimitKind::Target && $wall->limit->low !== null && $wall->limit->high !== null) {
                $x = $this->scale->at($wall->limit->low);

                return ['x' => $x, 'width' => $this->scale->at($wall->limit->high) - $x, 'label' => 'recipe ' . $wall->label()];
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
        $x = $this->scale->at(min($this->buffers));

        return ['x' => $x, 'width' => max(2.0, $this->scale->at(max($this->buffers)) - $x)];
    }

    /** @return list<array{x: float, length: int, label: string|null}> */
    public function ticks(): array
    {
        return array_map(fn(float $ph): array => [
            'x' => $this->scale->at($ph),
            'length' => fmod(abs($ph) + 1e-9, 1.0) < 1e-6 ? 11 : (fmod(abs($ph) + 1e-9, 0.5) < 1e-6 ? 7 : 4),
            'label' => fmod(abs($ph) + 1e-9, 1.0) < 1e-6 ? Numbers::plain($ph) : null,
        ], $this->scale->ticks(0.1));
    }

    /** What the drawing shows, for those who cannot see it. */
    public function words(): string
    {
        $parts = [];
        if ($this->value !== null) {
            $parts[] = 'pH ' . Numbers::fixed($this->value, 2) . ($this->expandedU === null ? '' : ' plus or minus ' . Numbers::fixed($this->expandedU, 2));
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
