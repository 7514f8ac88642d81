<?php

declare(strict_types=1);

namespace Rheacid\Core\Uncertainty;

/** One contribution: standard uncertainty in pH and its share of the variance, 0–1. */
final readonly class BudgetLine
{
    public function __construct(public string $name, public float $u, public float $share) {}
}
