<?php

declare(strict_types=1);

namespace Rheacid\Core\Release;

use Rheacid\Core\Limits\Conformity;

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
