<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Days;
use Rheacid\Core\Numbers;

/**
 * When a thermometer is checked next: earned by checks in a row without a significant shift, lost by one that is out. Common practice, no
 * source.
 */
final readonly class VerificationInterval
{
    /** A hundred years: beyond it no date is told. */
    private const LONGEST_DAYS = 36525;

    private function __construct(public int $nextDays, public string $dueOn, public IntervalReason $reason) {}

    /**
     * @param int $currentDays the interval in force
     * @param non-empty-list<PastCheck> $history in any order; °C
     * @param string|null $changedOn since when the interval is in force: only later checks count towards a longer one
     *
     * @throws \Rheacid\Core\DateTwice if a date appears twice
     * @throws IntervalTooLong if the next date lies beyond a hundred years
     */
    public static function after(
        int $currentDays,
        array $history,
        ?string $changedOn = null,
        IntervalPolicy $policy = new IntervalPolicy(),
    ): self {
        $history = PastCheck::sorted($history);
        $last = $history[count($history) - 1];
        [$days, $reason] = match (true) {
            !$last->isWithin() => [intdiv($currentDays, 2), IntervalReason::Halved],
            self::isEarned($history, $changedOn, $policy) => [$currentDays * 2, IntervalReason::Doubled],
            default => [$currentDays, IntervalReason::Keep],
        };
        $allowed = min(max($days, $policy->minDays), $policy->maxDays);
        if ($allowed > self::LONGEST_DAYS) {
            throw new IntervalTooLong($allowed, self::LONGEST_DAYS);
        }

        return new self($allowed, Days::date(Days::number($last->on) + $allowed), $allowed === $days ? $reason : IntervalReason::Capped);
    }

    /** @param list<PastCheck> $history sorted */
    private static function isEarned(array $history, ?string $changedOn, IntervalPolicy $policy): bool
    {
        $since = array_values(array_filter($history, static fn(PastCheck $check): bool => $changedOn === null || $check->on > $changedOn));
        $row = array_slice($since, -$policy->doubleAfter);
        if (count($row) < $policy->doubleAfter) {
            return false;
        }
        foreach ($row as $i => $check) {
            if (!$check->isWithin() || ($i > 0 && !$check->isNear($row[$i - 1], $policy))) {
                return false;
            }
        }
        $last = $row[count($row) - 1];

        // A slow walk shows only from end to end; what it has walked it may walk again before the next check.
        return $last->isNear($row[0], $policy)
            && Numbers::atMost(abs($last->errorC) + abs($last->errorC - $row[0]->errorC), $last->toleranceC);
    }
}
