<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** The portions of one place, of one quantity on one basis. */
final readonly class Result
{
    /** @param non-empty-list<Portion> $portions */
    public function __construct(public string $measurand, public string $basis, public array $portions) {}

    public function mean(): float
    {
        return array_sum(array_map(static fn(Portion $portion): float => $portion->value, $this->portions)) / count($this->portions);
    }
}
