<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

/** Where a reading came from. */
enum Source: string
{
    case Typed = 'typed';
    case Simulated = 'simulated';
    case Imported = 'imported';

    public function words(): string
    {
        return match ($this) {
            self::Typed => 'typed from the meter',
            self::Simulated => 'simulated bench',
            self::Imported => 'taken from a log',
        };
    }
}
