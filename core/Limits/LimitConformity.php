<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** One limit and how a single value stands to it. */
final readonly class LimitConformity
{
    public function __construct(public Limit $limit, public Conformity $conformity, public float $margin) {}
}
