<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;

/** Something that falls due, for the week ahead and the calendar. */
final readonly class DueDate
{
    public function __construct(public CarbonImmutable $at, public string $what, public string $url) {}
}
