<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** The portions of one place, of one quantity on one basis. */
final readonly class Result
{
    /** @param non-empty-list<JudgedReplicate> $replicates */
    public function __construct(public string $measurand, public string $basis, public array $replicates) {}

    public function mean(): float
    {
        return array_sum(array_map(static fn(JudgedReplicate $replicate): float => $replicate->value, $this->replicates))
            / count($this->replicates);
    }
}
