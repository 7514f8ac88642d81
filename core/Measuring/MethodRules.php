<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Numbers;

/** What a method asks of the portions of one place. */
final readonly class MethodRules
{
    /**
     * @param int $portions at least; one more where they do not agree
     * @param float $agreeWithinPh repeatability limit
     * @param float $lowC and $highC between which the stage is read
     * @param float $matrixBoundPh half-width of what the kind of sample adds, pH
     */
    public function __construct(public int $portions, public float $agreeWithinPh, public float $lowC, public float $highC, public float $matrixBoundPh) {}

    /** @param list<float> $values pH in the order in which they were read */
    public function needed(array $values): int
    {
        return $this->portions + ($this->agree(array_slice($values, 0, $this->portions)) ? 0 : 1);
    }

    /** @param list<float> $values pH */
    public function areComplete(array $values): bool
    {
        return count($values) >= $this->needed($values);
    }

    /** @param list<float> $values pH */
    public function agree(array $values): bool
    {
        return $values !== [] && Numbers::atMost(max($values) - min($values), $this->agreeWithinPh);
    }
}
