<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What a calibration is worth: pass, usable with care, or not to be used. */
enum Verdict: string
{
    case Pass = 'pass';
    case Caution = 'caution';
    case Fail = 'fail';

    /** @param list<Finding> $findings */
    public static function of(array $findings): self
    {
        $worst = max([0, ...array_map(static fn(Finding $finding): int => $finding->severity->rank(), $findings)]);

        return [self::Pass, self::Caution, self::Fail][$worst];
    }
}
