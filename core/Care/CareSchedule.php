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

    public static function replaceBy(\DateTimeImmutable $firstUsed): \DateTimeImmutable
    {
        return $firstUsed->modify('+' . self::LIFE_DAYS . ' days');
    }
}
