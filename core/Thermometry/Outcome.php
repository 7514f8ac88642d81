<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** What follows from a check. */
enum Outcome: string
{
    case Use = 'use';

    /** Used on with a correction that is shown on every reading. */
    case Correct = 'correct';

    /** Changed at its nut or screw; a check as left must follow. */
    case Adjusted = 'adjusted';
    case Replaced = 'replaced';
    case OutOfUse = 'out-of-use';

    /**
     * @param bool $isConfirmed a fresh bath showed the same usable correction
     * @param bool $isAdjustable a dial
     *
     * @return non-empty-list<self> what may be chosen
     */
    public static function allowed(VerificationVerdict $verdict, bool $isConfirmed, bool $isAdjustable): array
    {
        return [
            ...($verdict === VerificationVerdict::Outside ? [] : [self::Use]),
            ...($isConfirmed ? [self::Correct] : []),
            ...($isAdjustable ? [self::Adjusted] : []),
            self::Replaced,
            self::OutOfUse,
        ];
    }
}
