<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;

/** Something that falls due, for the week ahead and the calendar: at a moment, or some time on a day. */
final readonly class DueDate
{
    public function __construct(public CarbonImmutable $at, public string $what, public string $url, public bool $isDay = false) {}
}
