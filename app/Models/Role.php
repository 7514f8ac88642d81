<?php

declare(strict_types=1);

namespace Rheacid\Models;

enum Role: string
{
    case Checker = 'checker';
    case Lead = 'lead';

    /** Reads everything, changes nothing. */
    case Auditor = 'auditor';

    /** Sets policies, limits and methods. */
    public function leads(): bool
    {
        return $this === self::Lead;
    }

    public function writes(): bool
    {
        return $this !== self::Auditor;
    }
}
