<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Limits\LowNotBelowHigh;
use Rheacid\Core\TimesNotIncreasing;

/** Stretches of a record that prove nothing: their thermometer was not trusted, or a lead struck them out. */
final readonly class LeftOut
{
    /** @param list<array{float, float}> $stretches from and to, on the clock of the record */
    private function __construct(private array $stretches) {}

    public static function nothing(): self
    {
        return new self([]);
    }

    /**
     * @param list<array{float, float}> $stretches from and to, on the clock of the record
     *
     * @throws LowNotBelowHigh if one ends before it begins
     * @throws TimesNotIncreasing if they are not in order
     */
    public static function of(array $stretches): self
    {
        foreach ($stretches as $i => [$from, $to]) {
            if ($to <= $from) {
                throw new LowNotBelowHigh($from, $to);
            }
            if ($i > 0 && $from <= $stretches[$i - 1][0]) {
                throw new TimesNotIncreasing($i);
            }
        }

        return new self($stretches);
    }

    /** On a clock that runs so many times faster: hours in minutes. */
    public function times(float $factor): self
    {
        return new self(array_map(static fn(array $one): array => [$factor * $one[0], $factor * $one[1]], $this->stretches));
    }

    /** Whether the time from one moment to another, both included, meets such a stretch. */
    public function touches(float $from, float $to): bool
    {
        foreach ($this->stretches as [$begin, $end]) {
            if ($from <= $end && $begin <= $to) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<array{float, float}> $temperatures [time, value]
     *
     * @throws TemperatureLeftOut if one lies within such a stretch
     */
    public function ensureWithout(array $temperatures): void
    {
        foreach ($temperatures as $i => [$at]) {
            if ($this->touches($at, $at)) {
                throw new TemperatureLeftOut($i);
            }
        }
    }
}
