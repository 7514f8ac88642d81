<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Numbers;
use Rheacid\Queries\Board\BatchLine;

/** A batch in a row of a list: its pH on its clock with the newest U, the next binding limit from when it is due, and now. */
final readonly class RowCurve
{
    public const WIDTH = 224;
    public const HEIGHT = 58;

    private const EDGE = 6;

    /** A drawing reaches this much past what it shows, and never less than so many hours and pH. */
    private const BEYOND = 1.12;
    private const LEAST_H = 6.0;
    private const LEAST_PH = 0.3;

    private Scale $hours;
    private Scale $ph;

    /**
     * @param list<array{float, float}> $curve hours since the start, pH
     * @param array{low: float|null, high: float|null, from: float, met: bool}|null $wall
     */
    private function __construct(private array $curve, private ?float $u, private ?array $wall, private float $now)
    {
        $this->hours = new Scale(
            0,
            max(self::LEAST_H, $now, $wall['from'] ?? 0.0, ...array_column($curve, 0)) * self::BEYOND,
            self::EDGE,
            self::WIDTH - self::EDGE,
        );
        $values = array_column($curve, 1);
        if ($values !== [] && $u !== null) {
            array_push($values, $values[count($values) - 1] - $u, $values[count($values) - 1] + $u);
        }
        array_push($values, ...array_filter([$wall['low'] ?? null, $wall['high'] ?? null], is_float(...)));
        $values = $values === [] ? [7.0] : $values;
        $middle = (min($values) + max($values)) / 2;
        $half = (max(max($values) - min($values), self::LEAST_PH) / 2) * 1.3;
        $this->ph = new Scale($middle - $half, $middle + $half, self::HEIGHT - 4, 4);
    }

    /** @return self|null null where nothing can be drawn */
    public static function of(BatchLine $batch): ?self
    {
        if ($batch->curve->points === [] && $batch->curve->wall === null) {
            return null;
        }

        return new self($batch->curve->points, $batch->curve->expandedU, $batch->curve->wall, $batch->since->diffInSeconds(now()) / 3600);
    }

    public function line(): string
    {
        return $this->curve === []
            ? ''
            : 'M'
                    . implode(
                        ' L',
                        array_map(fn(array $point): string => $this->hours->at($point[0]) . ' ' . $this->ph->at($point[1]), $this->curve),
                    );
    }

    /** @return array{x: float, y: float, top: float, foot: float}|null the newest value, with its whisker */
    public function newest(): ?array
    {
        $last = $this->curve === [] ? null : $this->curve[count($this->curve) - 1];

        return $last === null
            ? null
            : [
                'x' => $this->hours->at($last[0]),
                'y' => $this->ph->at($last[1]),
                'top' => $this->ph->within($last[1] + ($this->u ?? 0.0)),
                'foot' => $this->ph->within($last[1] - ($this->u ?? 0.0)),
            ];
    }

    /**
     * @return list<array{y: float, x: float, width: float, top: float, height: float, due: bool}> where values may not be, from when the
     *     limit is due
     */
    public function walls(): array
    {
        $walls = [];
        if ($this->wall === null) {
            return [];
        }
        foreach (array_filter(['high' => $this->wall['high'], 'low' => $this->wall['low']], is_float(...)) as $side => $limit) {
            $y = $this->ph->within($limit);
            $x = $this->hours->at($this->wall['from']);
            $top = $side === 'high' ? 0.0 : $y;
            $walls[] = [
                'y' => $y,
                'x' => $x,
                'width' => self::WIDTH - $x,
                'top' => $top,
                'height' => ($side === 'high' ? $y : self::HEIGHT) - $top,
                'due' => $this->now >= $this->wall['from'],
            ];
        }

        return $walls;
    }

    public function now(): float
    {
        return $this->hours->within($this->now);
    }

    public function words(): string
    {
        $last = $this->curve === [] ? null : $this->curve[count($this->curve) - 1];

        return ($last === null
            ? 'no pH read yet'
            : 'pH ' . Numbers::fixed($last[1], 2) . ($this->u === null ? '' : ' ± ' . Numbers::fixed($this->u, 2)))
            . ($this->wall === null
                ? ''
                : '; limit '
                    . implode(
                        ' to ',
                        array_map(
                            static fn(float $one): string => Numbers::plain($one),
                            array_filter([$this->wall['low'], $this->wall['high']], is_float(...)),
                        ),
                    ));
    }
}
