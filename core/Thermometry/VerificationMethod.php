<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** What a thermometer is held against. */
enum VerificationMethod: string
{
    case Ice = 'ice';
    case Boiling = 'boiling';
    case Comparison = 'comparison';

    /** Resistance at the ice point, and insulation. */
    case Rtd = 'rtd';

    /** @return non-empty-list<self> those that are read as a temperature */
    public static function read(): array
    {
        return [self::Ice, self::Boiling, self::Comparison];
    }
}
