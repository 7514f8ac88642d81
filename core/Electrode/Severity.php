<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

enum Severity: string
{
    case Note = 'note';
    case Caution = 'caution';
    case Fail = 'fail';

    public function rank(): int
    {
        return match ($this) {
            self::Note => 0,
            self::Caution => 1,
            self::Fail => 2,
        };
    }
}
