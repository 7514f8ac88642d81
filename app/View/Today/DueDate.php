<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;

/** Something that falls due, for the week ahead and the calendar: at a moment, or some time on a day. */
final readonly class DueDate
{
    /** @param float|null $warnHours how long before it a calendar is to warn */
    public function __construct(
        public CarbonImmutable $at,
        public string $what,
        public string $url,
        public bool $isDay = false,
        public ?float $warnHours = null,
        public ?string $note = null,
    ) {}
}
