<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Numbers;

/** A line so small that only its way shows. */
final readonly class Spark
{
    public const WIDTH = 90;
    public const HEIGHT = 26;

    /** @param list<float> $values oldest first */
    public function __construct(private array $values, private float $low, private float $high) {}

    public function path(): string
    {
        $order = new Scale(0, max(1, count($this->values) - 1), 3, self::WIDTH - 3);
        $value = new Scale(min([$this->low - 1, ...$this->values]), max([$this->high, ...$this->values]), self::HEIGHT - 2, 2);

        return $this->values === []
            ? ''
            : 'M'
                    . implode(
                        ' L',
                        array_map(
                            static fn(int $i, float $at): string => $order->at($i) . ' ' . $value->at($at),
                            array_keys($this->values),
                            $this->values,
                        ),
                    );
    }

    /** The newest, and where the policy ends. */
    public function words(): string
    {
        return $this->values === []
            ? ''
            : sprintf('%s %% · ≥ %s', Numbers::fixed($this->values[count($this->values) - 1], 1), Numbers::plain($this->low));
    }

    /** Where the policy ends. */
    public function limit(): float
    {
        return (new Scale(min([$this->low - 1, ...$this->values]), max([$this->high, ...$this->values]), self::HEIGHT - 2, 2))->at(
            $this->low,
        );
    }
}
