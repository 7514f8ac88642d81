<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

use Rheacid\Core\Contradiction;

/** The first numbers of a table stand still or fall. */
final class TableNotIncreasing extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index)
    {
        parent::__construct('The first numbers of a table must strictly increase.');
    }
}
