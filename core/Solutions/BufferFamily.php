<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

use Rheacid\Core\Electrode\BufferTables;

/** The two sets of buffers in use. */
enum BufferFamily: string
{
    /** 4.01, 7.00, 10.01 */
    case Technical = 'technical';

    /** 4.01, 6.86, 9.18 */
    case Standard = 'standard';
    case Any = 'any';

    /** Of a shipped table; any for a bottle with a table of its own. */
    public static function of(?string $buffer): self
    {
        return match (true) {
            $buffer === null || !BufferTables::knows($buffer) => self::Any,
            BufferTables::isTechnical($buffer) => self::Technical,
            default => self::Standard,
        };
    }

    /** @param string $buffer name of a shipped table, or of none */
    public function holds(string $buffer): bool
    {
        return $this === self::Any || $this === self::of($buffer);
    }

    /** How well its buffers are known where a bottle's certificate says nothing: expanded, pH. Common practice, no source. */
    public function usualExpandedU(): float
    {
        return $this === self::Standard ? 0.01 : 0.02;
    }
}
