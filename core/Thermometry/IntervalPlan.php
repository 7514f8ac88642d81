<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Days;
use Rheacid\Core\Numbers;

/**
 * The next interval of a thermometer in its place: what its own checks have earned, or those of alike probes in like service
 * together with them, shortened by what it suffers, capped by a third party. Common practice, no source.
 */
final readonly class IntervalPlan
{
    /**
     * @param int $nextDays what is in force from now on
     * @param int $earnedDays before stress and cap
     * @param int $goodInRow own checks in a row since the interval began, within and without a significant shift
     * @param bool $isProven the last check is within or outside, not neither
     * @param int $pooledFrom probes whose checks were counted, 1 where only its own were
     */
    private function __construct(
        public int $nextDays,
        public string $dueOn,
        public IntervalReason $reason,
        public int $earnedDays,
        public int $goodInRow,
        public int $needed,
        public int $pooledFrom,
        public Service $service,
        public bool $isProven,
    ) {}

    /**
     * @param int $earnedDays the interval earned so far, before stress and cap
     * @param non-empty-list<PastCheck> $own checks; °C
     * @param list<non-empty-list<PastCheck>> $alike checks of alike probes in like
     *     service
     */
    public static function after(
        int $earnedDays,
        array $own,
        ?string $changedOn,
        Service $service,
        array $alike = [],
        IntervalPolicy $policy = new IntervalPolicy(),
    ): self {
        $own = PastCheck::sorted($own);
        $row = self::goodInRow($own, $changedOn, $policy);
        $next = VerificationInterval::after($earnedDays, $own, $changedOn, $policy);
        // A check that proved nothing is neither outside nor good.
        $isProven = $own[count($own) - 1]->isProven;
        $isEarned = $next->reason !== IntervalReason::Doubled || count($row) >= $policy->doubleAfter;
        [$days, $reason] = $isProven && $isEarned ? [$next->nextDays, $next->reason] : [$earnedDays, IntervalReason::Keep];
        $pooled = 1;
        if (
            $reason === IntervalReason::Keep
            && self::haveHeldTogether($row, $alike, $changedOn, $policy)
            && self::staysWithin($own, 2 * $earnedDays)
        ) {
            [$days, $reason, $pooled] = [min($earnedDays * 2, $policy->maxDays), IntervalReason::Doubled, 1 + count($alike)];
        }
        $wanted = (int) floor($days * Stress::SHORTENS ** count($service->stresses));
        $allowed = max($policy->minDays, min($wanted, $service->capDays ?? $wanted));
        $last = $own[count($own) - 1]->on;

        return new self(
            $allowed,
            Days::date(Days::number($last) + $allowed),
            $service->capDays !== null && $wanted > $service->capDays ? IntervalReason::Capped : $reason,
            $days,
            count($row),
            $policy->doubleAfter,
            $pooled,
            $service,
            $isProven,
        );
    }

    /** @return array<string, mixed> what the next date rests on, as a record keeps it */
    public function facts(): array
    {
        return [
            'reason' => $this->reason->value,
            'next_days' => $this->nextDays,
            'earned_days' => $this->earnedDays,
            'good_in_row' => $this->goodInRow,
            'needed' => $this->needed,
            'pooled_from' => $this->pooledFrom,
            'is_proven' => $this->isProven,
            'stresses' => array_column($this->service->stresses, 'value'),
            'cap_days' => $this->service->capDays,
            'each_batch' => $this->service->eachBatch,
        ];
    }

    /**
     * Alike probes count as one where each of them has held, this one at least twice.
     *
     * @param list<PastCheck> $row
     * @param list<non-empty-list<PastCheck>> $alike
     */
    private static function haveHeldTogether(array $row, array $alike, ?string $changedOn, IntervalPolicy $policy): bool
    {
        $rows = [$row];
        foreach ($alike as $checks) {
            $rows[] = self::goodInRow(PastCheck::sorted($checks), $changedOn, $policy);
        }

        return $alike !== []
            && count($row) >= 2
            && min(array_map(count(...), $rows)) >= 1
            && array_sum(array_map(count(...), $rows)) >= $policy->doubleAfter;
    }

    /**
     * A probe that walks steadily is not given more time than it needs to walk out.
     *
     * @param non-empty-list<PastCheck> $own sorted
     */
    private static function staysWithin(array $own, int $days): bool
    {
        $last = $own[count($own) - 1];

        return Numbers::atMost(abs($last->errorC) + (abs(Drift::of($own)->cPerYear ?? 0.0) * $days) / Days::IN_A_YEAR, $last->toleranceC);
    }

    /**
     * Backwards from the last check: proven within tolerance, without a significant shift from one to the next or from end
     * to end. The one that shifted is not the first of a new row: nobody knows yet whether it has become stable.
     *
     * @param list<PastCheck> $checks sorted
     *
     * @return list<PastCheck>
     */
    private static function goodInRow(array $checks, ?string $changedOn, IntervalPolicy $policy): array
    {
        $row = [];
        foreach (array_reverse($checks, true) as $i => $check) {
            $isOld = $changedOn !== null && $check->on <= $changedOn;
            $hasShifted = isset($checks[$i - 1]) && !$check->isNear($checks[$i - 1], $policy);
            $isSteady = $row === [] || $row[0]->isNear($check, $policy);
            if ($isOld || $hasShifted || !$isSteady || !$check->isProven || !$check->isWithin()) {
                break;
            }
            $row[] = $check;
        }

        return $row;
    }
}
