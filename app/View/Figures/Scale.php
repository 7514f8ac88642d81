<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Numbers;

/** Maps a quantity to a coordinate of a drawing. */
final readonly class Scale
{
    public function __construct(public float $low, public float $high, private float $from, private float $to) {}

    public function at(float $value): float
    {
        return round($this->from + (($value - $this->low) / ($this->high - $this->low)) * ($this->to - $this->from), 1);
    }

    /** As at(), but never outside the drawing. */
    public function within(float $value): float
    {
        return $this->at(min(max($value, $this->low), $this->high));
    }

    /** @return list<float> round values a step apart */
    public function ticks(float $step): array
    {
        $ticks = [];
        for ($i = (int) ceil($this->low / $step - 1e-9); $i * $step <= $this->high + 1e-9; $i++) {
            $ticks[] = round($i * $step, 6);
        }

        return $ticks;
    }

    /** @return list<array{x: float, label: string}> of a scale of hours: days, or hours where less than two days are drawn */
    public function times(int $width): array
    {
        $span = $this->high - $this->low;
        $pieces = intdiv($width, 90);
        if ($span < 48) {
            return array_map(
                fn(float $hours): array => ['x' => $this->at($hours), 'label' => Numbers::plain($hours) . ' h'],
                $this->ticks($this->step($pieces)),
            );
        }

        return array_map(
            fn(float $hours): array => ['x' => $this->at($hours), 'label' => 'day ' . round($hours / 24)],
            $this->ticks(24 * max(1, (int) ceil($span / 24 / $pieces))),
        );
    }

    /** A round step that parts the range into at most so many pieces. */
    public function step(int $pieces): float
    {
        $raw = ($this->high - $this->low) / $pieces;
        $power = 10 ** floor(log10($raw));
        foreach ([1, 2, 5, 10] as $factor) {
            if ($factor * $power >= $raw - 1e-12) {
                return $factor * $power;
            }
        }

        return 10 * $power;
    }
}
