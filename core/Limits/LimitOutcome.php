<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** One limit and how the value stands to it. */
final readonly class LimitOutcome
{
    public function __construct(public Limit $limit, public Outcome $outcome, public float $margin, public float $guard) {}

    /** What is left beyond the guard; negative is what it lacks. */
    public function spare(): float
    {
        return $this->margin - $this->guard;
    }
}
