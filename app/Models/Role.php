<?php

declare(strict_types=1);

namespace Rheacid\Models;

enum Role: string
{
    case Checker = 'checker';
    case Lead = 'lead';

    /** Reads everything, changes nothing. */
    case Auditor = 'auditor';

    public function writes(): bool
    {
        return $this !== self::Auditor;
    }
}
