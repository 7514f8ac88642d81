<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

/** A part of a record that one thermometer read, with nothing excluded of it. */
final readonly class Stretch
{
    /** @param non-empty-list<array{float, float}> $points [time, °C], times strictly increasing */
    public function __construct(public array $points, public bool $isTrusted) {}

    public function from(): float
    {
        return $this->points[0][0];
    }

    public function to(): float
    {
        return $this->points[count($this->points) - 1][0];
    }

    /** By the line between its neighbours; null outside of it. */
    public function at(float $time): ?float
    {
        if ($time < $this->from() || $time > $this->to()) {
            return null;
        }
        [$low, $high] = [0, count($this->points) - 1];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($this->points[$middle][0] <= $time) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        [[$a, $atA], [$b, $atB]] = [$this->points[$low], $this->points[$high]];

        return match ($time) {
            $a => $atA,
            $b => $atB,
            default => $atA + ($atB - $atA) * ($time - $a) / ($b - $a),
        };
    }

    /**
     * Without what a lead excluded of it.
     *
     * @param list<array{float, float}> $struck from and to
     *
     * @return array{list<self>, list<array{float, float}>} what is left, and what of it was struck out
     */
    public function without(array $struck): array
    {
        $left = [];
        $piece = [];
        foreach ($this->points as $point) {
            $isStruck = array_filter($struck, static fn(array $one): bool => $point[0] >= $one[0] && $point[0] <= $one[1]) !== [];
            if ($isStruck && $piece !== []) {
                $left[] = new self($piece, $this->isTrusted);
                $piece = [];
            } elseif (!$isStruck) {
                $piece[] = $point;
            }
        }
        if ($piece !== []) {
            $left[] = new self($piece, $this->isTrusted);
        }

        return [$left, array_values(array_filter($struck, fn(array $one): bool => $one[0] <= $this->to() && $one[1] >= $this->from()))];
    }
}
