<?php

declare(strict_types=1);

namespace Rheacid\Core\Access;

enum Role: string
{
    case Checker = 'checker';
    case Lead = 'lead';

    /** Reads everything, changes nothing. */
    case Auditor = 'auditor';

    public function has(Right $right): bool
    {
        return match ($right) {
            Right::Record => $this !== self::Auditor,
            Right::Lead => $this === self::Lead,
        };
    }
}
