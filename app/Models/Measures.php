<?php

declare(strict_types=1);

namespace Rheacid\Models;

/** What an electrode or cell is sensitive to. */
enum Measures: string
{
    case Ph = 'ph';
    case Conductivity = 'conductivity';
    case Redox = 'redox';

    public function words(): string
    {
        return match ($this) {
            self::Ph => 'pH',
            self::Conductivity => 'conductivity',
            self::Redox => 'redox',
        };
    }
}
