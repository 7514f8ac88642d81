<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** A date appears twice in a history. */
final class DateTwice extends \DomainException implements Contradiction
{
    public function __construct(public readonly string $date, public readonly int $index)
    {
        parent::__construct(sprintf('%s appears twice. Give each date once.', $date));
    }
}
