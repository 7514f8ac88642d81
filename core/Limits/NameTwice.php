<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

use Rheacid\Core\Contradiction;

/** Two limits of one name. */
final class NameTwice extends \DomainException implements Contradiction
{
    public function __construct(public readonly string $name, public readonly int $index)
    {
        parent::__construct(sprintf('"%s" appears twice. Each limit needs a name of its own.', $name));
    }
}
