<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** A straight correction through two checked points: true = gain · reading + offset. */
final readonly class LinearCorrection
{
    private function __construct(public float $gain, public float $offsetC) {}

    /**
     * @param array{reference: float, reading: float} $low °C
     * @param array{reference: float, reading: float} $high °C
     *
     * @throws PointsNotAscending if low is not below high, in reference and reading
     */
    public static function through(array $low, array $high): self
    {
        foreach (['reference', 'reading'] as $of) {
            if ($low[$of] >= $high[$of]) {
                throw new PointsNotAscending($of === 'reference');
            }
        }
        $gain = ($high['reference'] - $low['reference']) / ($high['reading'] - $low['reading']);

        return new self($gain, $low['reference'] - $gain * $low['reading']);
    }

    public function correct(float $readingC): float
    {
        return $this->gain * $readingC + $this->offsetC;
    }
}
