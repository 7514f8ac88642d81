<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** Times of a series that stand still or run back. */
final class TimesNotIncreasing extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index)
    {
        parent::__construct('Times must strictly increase.');
    }
}
