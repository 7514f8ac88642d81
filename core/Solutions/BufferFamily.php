<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** The two sets of buffers in use. */
enum BufferFamily: string
{
    /** 4.01, 7.00, 10.01 */
    case Technical = 'technical';

    /** 4.01, 6.86, 9.18 */
    case Standard = 'standard';
    case Any = 'any';

    /** @param string $buffer name of a shipped table */
    public function holds(string $buffer): bool
    {
        return match ($this) {
            self::Any => true,
            self::Technical => str_starts_with($buffer, 'technical'),
            self::Standard => !str_starts_with($buffer, 'technical'),
        };
    }
}
