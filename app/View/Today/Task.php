<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Rheacid\Core\Care\Priority;

/** One thing to do, with the button that leads there. */
final readonly class Task
{
    /**
     * @param string $room where it is done: ready, calibrate, verify, measure, batch
     * @param string|null $act what one tap writes down, sent to the url; null where the button leads there
     * @param int|null $holderId whose work it is, where it is in somebody's hands
     */
    public function __construct(
        public Priority $priority,
        public string $room,
        public string $title,
        public string $detail,
        public string $url,
        public string $button,
        public string $sign,
        public ?int $holderId = null,
        public ?string $act = null,
    ) {}
}
