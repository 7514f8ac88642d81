<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** What an earlier occasion said of a limit. */
final readonly class JudgedBefore
{
    public function __construct(
        public string $name,
        public Conformity $conformity,
        public bool $late,
        public Conformity $valueConformity,
    ) {}
}
