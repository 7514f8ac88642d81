<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** How long the glass is hydrated in storage solution. Common practice, no source. */
enum SoakSchool: string
{
    /** First use, or dried out. */
    case Careful = 'careful';
    case Usual = 'usual';
    case AfterCleaning = 'after-cleaning';

    /** For instruments in frequent use. */
    case Fast = 'fast';

    public function minutes(): int
    {
        return match ($this) {
            self::Careful => 24 * 60,
            self::Usual => 120,
            self::AfterCleaning => 60,
            self::Fast => 15,
        };
    }
}
