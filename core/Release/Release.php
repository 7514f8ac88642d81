<?php

declare(strict_types=1);

namespace Rheacid\Core\Release;

use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\NameTwice;

/** What a batch can be released on: of each binding limit, whether it is met and why not. */
final readonly class Release
{
    /**
     * @param list<string> $met names
     * @param list<array{name: string, reason: MissingReason}> $missing
     */
    private function __construct(public array $met, public array $missing, public bool $releasable) {}

    /**
     * @param list<ReleaseLimit> $limits of the product
     * @param list<list<JudgedBefore>> $judged the current occasions in the order of drawing, each judged with the trust that its portions
     * have now
     * @param array<string, bool> $conditions
     * @param list<string> $disposed limits that the lead has decided about
     * @param bool $isBlocked something else keeps the batch from going out
     * @param bool $needsNone nothing measured guards the product, as its version says
     *
     * @throws NameTwice if two limits have one name
     */
    public static function of(
        array $limits,
        array $judged,
        array $conditions,
        array $disposed,
        bool $isBlocked,
        bool $needsNone = false,
    ): self {
        $met = [];
        $missing = [];
        $seen = [];
        foreach ($limits as $i => $limit) {
            if (isset($seen[$limit->name])) {
                throw new NameTwice($limit->name, $i);
            }
            $seen[$limit->name] = true;
            $answer = $limit->condition === null ? true : $conditions[$limit->condition] ?? null;
            if (!$limit->kind->binds() || $answer === false) {
                continue;
            }
            $reason
                = $answer === null
                    ? MissingReason::Unanswered
                    : self::reason(self::history($limit->name, $judged), in_array($limit->name, $disposed, true));
            if ($reason === null) {
                $met[] = $limit->name;
            } else {
                $missing[] = ['name' => $limit->name, 'reason' => $reason];
            }
        }

        return new self($met, $missing, $missing === [] && !$isBlocked && ($met !== [] || $needsNone));
    }

    /**
     * @param list<list<JudgedBefore>> $judged
     *
     * @return list<JudgedBefore> what each occasion that was judged by the limit said of it
     */
    private static function history(string $name, array $judged): array
    {
        $history = [];
        foreach ($judged as $occasion) {
            foreach ($occasion as $one) {
                if ($one->name === $name) {
                    $history[] = $one;
                }
            }
        }

        return $history;
    }

    /**
     * @param list<JudgedBefore> $history
     *
     * @return MissingReason|null null where the limit is met
     */
    private static function reason(array $history, bool $isDisposed): ?MissingReason
    {
        if ($history === []) {
            return MissingReason::NeverJudged;
        }
        $newest = $history[count($history) - 1];
        $isMissed = array_filter($history, static fn(JudgedBefore $one): bool => $one->late) !== [];
        $wasOutside = array_filter($history, static fn(JudgedBefore $one): bool => $one->conformity === Conformity::Outside) !== [];
        $reason = match (true) {
            $isMissed => MissingReason::MissedInTime,
            $newest->conformity !== Conformity::Inside => self::failing($newest->conformity),
            $wasOutside => MissingReason::Breached,
            default => null,
        };
        if ($isDisposed && ($reason === MissingReason::MissedInTime || $reason === MissingReason::Breached)) {
            return self::failing($newest->valueConformity);
        }

        return $reason;
    }

    private static function failing(Conformity $conformity): ?MissingReason
    {
        return match ($conformity) {
            Conformity::Inside => null,
            Conformity::Inconclusive => MissingReason::NotProven,
            Conformity::Outside => MissingReason::Outside,
        };
    }
}
