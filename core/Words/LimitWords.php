<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\LimitOutcome;
use Rheacid\Core\Limits\Outcome;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Numbers;

/** What a decision says. Never that food is safe: which limit was met, and with what to spare. */
final class LimitWords
{
    public static function kind(LimitKind $kind): string
    {
        return match ($kind) {
            LimitKind::Critical => 'Critical limit',
            LimitKind::Legal => 'Legal limit',
            LimitKind::Operating => 'Operating limit',
            LimitKind::Spoilage => 'Spoilage limit',
            LimitKind::Target => 'Target',
        };
    }

    /** The head of the sentence: Critical limit met, Target not reached … */
    public static function head(LimitOutcome $outcome): string
    {
        $isTarget = $outcome->limit->kind === LimitKind::Target;

        return self::kind($outcome->limit->kind) . ' ' . match ($outcome->outcome) {
            Outcome::Inside => $isTarget ? 'reached' : 'met',
            Outcome::Inconclusive => 'not proven',
            Outcome::Outside => $isTarget ? 'not reached' : 'not met',
        };
    }

    /** Its tail: pH ≤ 4.6, 0.06 to spare beyond the uncertainty. */
    public static function tail(LimitOutcome $outcome): string
    {
        $limit = 'pH ' . $outcome->limit->written();

        return match ($outcome->outcome) {
            Outcome::Inside => sprintf('%s, %s to spare%s.', $limit, self::down($outcome->spare()), $outcome->guard > 0 ? ' beyond the uncertainty' : ''),
            Outcome::Inconclusive => sprintf('%s, lacks %s to be proven.', $limit, self::up(-$outcome->spare())),
            Outcome::Outside => sprintf('%s, missed by %s.', $limit, self::up(-$outcome->margin)),
        };
    }

    public static function overall(Overall $overall): string
    {
        return match ($overall) {
            Overall::Accept => 'Every limit that is due is met.',
            Overall::Review => 'Nothing to hold; a line for the lead.',
            Overall::Hold => 'The batch is held.',
        };
    }

    /** What is left is never shown larger than it is, what is missing never smaller. */
    private static function down(float $value): string
    {
        return $value < 0.01 - Numbers::TOLERANCE ? 'less than 0.01' : Numbers::fixed(floor($value * 100 + 1e-7) / 100, 2);
    }

    private static function up(float $value): string
    {
        return Numbers::fixed(max(0.01, ceil($value * 100 - 1e-7) / 100), 2);
    }
}
