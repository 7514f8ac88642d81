<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** How a solution is bought. */
enum ComesAs: string
{
    case Bottle = 'bottle';
    case Sachet = 'sachet';
    case Powder = 'powder';

    /** Made up or opened, it keeps a day. */
    public function isMadeUp(): bool
    {
        return $this !== self::Bottle;
    }
}
