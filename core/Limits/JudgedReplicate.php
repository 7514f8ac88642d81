<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** One measured part of a sample, as it is judged. */
final readonly class JudgedReplicate
{
    /**
     * @param float|null $expandedU k = 2, in the unit of the value; null where it is not known
     * @param bool $trusted nothing that it rests on keeps it from proving a limit
     * @param list<string> $provesNot names of limits that it cannot prove, though it is trusted
     */
    public function __construct(public float $value, public ?float $expandedU, public bool $trusted = true, public array $provesNot = []) {}

    /** Whether it can show that a limit is met. Where it cannot, it can still show that it is not. */
    public function proves(Limit $limit): bool
    {
        return $this->trusted && !in_array($limit->name, $this->provesNot, true) && ($this->expandedU !== null || !$limit->kind->binds());
    }

    /** What must be cleared: the whole uncertainty for a binding limit; an unknown one counts as nothing. */
    public function guard(Limit $limit): float
    {
        return $limit->kind->binds() ? $this->expandedU ?? 0.0 : 0.0;
    }
}
