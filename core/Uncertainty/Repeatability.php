<?php

declare(strict_types=1);

namespace Rheacid\Core\Uncertainty;

/** How well replicates repeat one another, in pH. */
final readonly class Repeatability
{
    /**
     * @param float $sd of these replicates
     * @param int $replicates at least 1
     * @param float $pooledSd of the site or its policy, below which a few replicates that happen to agree are not believed
     */
    public function __construct(public float $sd, public int $replicates, public float $pooledSd = 0.0) {}

    /** Standard uncertainty of their mean. */
    public function u(): float
    {
        return max($this->sd, $this->pooledSd) / sqrt($this->replicates);
    }

    public function by(int $replicates): self
    {
        return new self($this->sd, $replicates, $this->pooledSd);
    }
}
