<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** When an electrode's regular care is due next. The periods are common practice, no source. */
final class CareSchedule
{
    private const EVERY_DAYS = [
        'topped-up' => 7,
        'cleaned' => 30,
        'soak' => 30,
    ];

    /** Usual life of an electrode. */
    private const LIFE_DAYS = 365;

    /**
     * @param \DateTimeImmutable $firstUsed what counts until the first care on record
     * @param array<string, \DateTimeImmutable> $last by the value of a CareKind
     *
     * @return list<array{kind: CareKind, at: \DateTimeImmutable}> the next of each, soonest first
     */
    public static function next(\DateTimeImmutable $firstUsed, array $last): array
    {
        $next = [];
        foreach (self::EVERY_DAYS as $kind => $days) {
            $next[] = ['kind' => CareKind::from($kind), 'at' => ($last[$kind] ?? $firstUsed)->modify("+$days days")];
        }
        usort($next, static fn(array $a, array $b): int => $a['at'] <=> $b['at']);

        return $next;
    }

    /** So long before it leaves the policy, or its usual life ends, the next electrode is ordered. */
    public const ORDER_AHEAD_DAYS = 14;

    /** A forecast further off is no concern of today. */
    private const FORESEEN_DAYS = 60;

    /** Whether a day that a trend tells is near enough to act upon. */
    public static function isForeseen(\DateTimeImmutable $leavesOn, \DateTimeImmutable $now): bool
    {
        return $leavesOn < $now->modify('+' . self::FORESEEN_DAYS . ' days');
    }

    /** Whether its usual life ends so soon that its successor is to be ordered. */
    public static function isOrderedBy(\DateTimeImmutable $firstUsed, \DateTimeImmutable $now): bool
    {
        return self::replaceBy($firstUsed) <= $now->modify('+' . self::ORDER_AHEAD_DAYS . ' days');
    }

    public static function replaceBy(\DateTimeImmutable $firstUsed): \DateTimeImmutable
    {
        return $firstUsed->modify('+' . self::LIFE_DAYS . ' days');
    }
}
