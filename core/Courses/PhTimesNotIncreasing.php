<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Contradiction;

/** Hours of pH readings that stand still or run back. */
final class PhTimesNotIncreasing extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index)
    {
        parent::__construct('Hours must strictly increase.');
    }
}
