<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** Which pressure the barometer of a site gives. */
enum Barometer: string
{
    case Here = 'here';
    case SeaLevel = 'sea-level';

    public function words(): string
    {
        return match ($this) {
            self::Here => 'pressure at this elevation',
            self::SeaLevel => 'pressure reduced to sea level, as in weather reports',
        };
    }
}
