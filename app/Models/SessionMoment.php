<?php

declare(strict_types=1);

namespace Rheacid\Models;

/** When in a session a control check is read. */
enum SessionMoment: string
{
    case Start = 'start';
    case Within = 'within';
    case End = 'end';

    public function words(): string
    {
        return match ($this) {
            self::Start => 'at the start',
            self::Within => 'within, every ten samples or 2 h',
            self::End => 'at the end',
        };
    }
}
