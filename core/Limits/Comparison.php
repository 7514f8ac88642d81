<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

enum Comparison: string
{
    case AtMost = '<=';
    case Below = '<';
    case AtLeast = '>=';
    case Above = '>';
    case Between = 'between';

    public function isStrict(): bool
    {
        return $this === self::Below || $this === self::Above;
    }

    /** As it is written in a sentence. */
    public function sign(): string
    {
        return match ($this) {
            self::AtMost => '≤',
            self::AtLeast => '≥',
            self::Below => '<',
            self::Above => '>',
            self::Between => '–',
        };
    }
}
