<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

use Rheacid\Core\Numbers;

/** A bound on a measured quantity: one edge, or two with both ends included. */
final readonly class Limit
{
    private function __construct(
        public string $name,
        public LimitKind $kind,
        public Comparison $comparison,
        public ?float $low,
        public ?float $high,
    ) {}

    public static function edge(string $name, LimitKind $kind, Comparison $comparison, float $value): self
    {
        return match ($comparison) {
            Comparison::AtMost, Comparison::Below => new self($name, $kind, $comparison, null, $value),
            Comparison::AtLeast, Comparison::Above => new self($name, $kind, $comparison, $value, null),
            Comparison::Between => throw new \LogicException('A limit "between" has two edges.'),
        };
    }

    /** @throws LowNotBelowHigh if low is not below high */
    public static function between(string $name, LimitKind $kind, float $low, float $high): self
    {
        if ($low >= $high) {
            throw new LowNotBelowHigh($low, $high);
        }

        return new self($name, $kind, Comparison::Between, $low, $high);
    }

    /**
     * From how it is kept: two edges, or the one that the comparison asks for.
     *
     * @throws LowNotBelowHigh if low is not below high
     */
    public static function kept(string $name, LimitKind $kind, Comparison $comparison, ?float $low, ?float $high): self
    {
        return $comparison === Comparison::Between
            ? self::between($name, $kind, (float) $low, (float) $high)
            : self::edge($name, $kind, $comparison, (float) ($low ?? $high));
    }

    /** Distance to the nearest edge, positive inside, in the quantity's unit. */
    public function margin(float $value): float
    {
        return min($this->low === null ? INF : $value - $this->low, $this->high === null ? INF : $this->high - $value);
    }

    public function conformity(float $value, float $expandedU): Conformity
    {
        $margin = $this->margin($value);

        return match (true) {
            $this->comparison->isStrict() => match (true) {
                $margin > $expandedU + Numbers::TOLERANCE => Conformity::Inside,
                $margin <= -$expandedU + Numbers::TOLERANCE => Conformity::Outside,
                default => Conformity::Inconclusive,
            },
            Numbers::atLeast($margin, $expandedU) => Conformity::Inside,
            !Numbers::atLeast($margin, -$expandedU) => Conformity::Outside,
            default => Conformity::Inconclusive,
        };
    }

    /** As it is written, with one decimal at least: ≤ 4.0, or 3.4–3.8. */
    public function written(): string
    {
        return $this->writtenBy(static fn(float $value): float => $value);
    }

    /** @param callable(float): float $in another unit than that in which it is judged */
    public function writtenBy(callable $in): string
    {
        $number = static function (float $value) use ($in): string {
            // Numbers of another unit end somewhere.
            $other = round($in($value), 6);

            return abs($other - round($other)) < Numbers::TOLERANCE ? Numbers::fixed($other, 1) : Numbers::plain($other);
        };

        return $this->comparison === Comparison::Between
            ? $number((float) $this->low) . '–' . $number((float) $this->high)
            : $this->comparison->sign() . ' ' . $number((float) ($this->low ?? $this->high));
    }
}
