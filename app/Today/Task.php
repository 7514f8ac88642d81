<?php

declare(strict_types=1);

namespace Rheacid\Today;

/** One thing to do, with the button that leads there. */
final readonly class Task
{
    /** @param string $room where it is done: calibrate, measure, batch */
    public function __construct(
        public string $room,
        public string $title,
        public string $detail,
        public string $url,
        public string $button,
        public string $sign,
    ) {}
}
