<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

/** Maps a quantity to a coordinate of a drawing. */
final readonly class Scale
{
    public function __construct(public float $low, public float $high, private float $from, private float $to) {}

    public function at(float $value): float
    {
        return round($this->from + ($value - $this->low) / ($this->high - $this->low) * ($this->to - $this->from), 1);
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
