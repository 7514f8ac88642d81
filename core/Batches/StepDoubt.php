<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

/** Why a step is not written down by whoever comes by, but by a lead with a reason. Common practice, no source. */
enum StepDoubt: string
{
    /** So long ago that its limit could have been missed, and nobody said meanwhile that it had not happened. */
    case TooLate = 'too-late';
    /** Somebody had said after that time that it had not happened yet. */
    case Contradicts = 'contradicts';

    /** A step that had not happened yet is asked for again after half of its limit's time, at most after so many hours. */
    private const ASKED_AGAIN_H = 12.0;

    /** Steps that happen more than once; every other is changed, never taken again. */
    public const REPEATED = ['fed', 'turned', 'topped up'];
    /** A limit that counts from the last time of a repeated step names it so: "last fed". */
    public const LAST = 'last ';

    /**
     * Null where anybody who records may write it down.
     *
     * @param float|null $hours the shortest time that a limit gives from the step; null where none counts from it
     * @param list<\DateTimeImmutable> $waits when somebody said "not yet"
     */
    public static function of(
        ?float $hours,
        \DateTimeImmutable $started,
        array $waits,
        \DateTimeImmutable $happened,
        \DateTimeImmutable $now,
    ): ?self {
        foreach ($waits as $wait) {
            if ($happened < $wait) {
                return self::Contradicts;
            }
        }
        $since = max([$started, ...$waits]);

        return $hours !== null && $now->getTimestamp() - $since->getTimestamp() > 3600 * $hours ? self::TooLate : null;
    }

    /**
     * Whether people are asked when it happened.
     *
     * @param float|null $hours the shortest time that a limit gives from the step; null where none counts from it
     * @param \DateTimeImmutable|null $said when somebody last said "not yet"
     */
    public static function isAsked(?float $hours, ?\DateTimeImmutable $said, \DateTimeImmutable $now): bool
    {
        return $said === null || $now->getTimestamp() - $said->getTimestamp() > 3600 * min(self::ASKED_AGAIN_H, ($hours ?? INF) / 2);
    }

    public static function repeats(string $step): bool
    {
        return in_array($step, self::REPEATED, true);
    }

    public function words(): string
    {
        return match ($this) {
            self::TooLate => 'The time of a limit has passed without a “not yet”. A lead records the step, with a reason.',
            self::Contradicts => '“Not yet” was recorded after that time. A lead records the step, with a reason.',
        };
    }
}
