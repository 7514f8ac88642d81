<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** In which order batches are looked after: the worst first. */
enum Urgency: int
{
    case Held = 0;
    case Broken = 1;
    case AtRisk = 2;
    case NotProven = 3;
    case Unread = 4;
    case Calm = 5;
    case Planned = 6;
    case Gone = 9;

    /** Where nothing binds, farther from a limit than any number of a limit. */
    public const FAR = 9999.0;

    /**
     * @param Conformity|null $newest the worst that the newest reading says of a binding limit; null where nothing binding was due
     * @param bool $isRead whether it was read at all
     * @param bool $isLate a deadline has passed that was not met
     * @param list<ForecastVerdict> $forecasts of the deadlines that lie ahead
     */
    public static function of(BatchState $state, ?Conformity $newest, bool $isRead, bool $isLate, array $forecasts): self
    {
        return match (true) {
            $state === BatchState::Held => self::Held,
            $state === BatchState::Planned => self::Planned,
            !$state->isLive() => self::Gone,
            $isLate || $newest === Conformity::Outside => self::Broken,
            array_intersect(array_column($forecasts, 'value'), [ForecastVerdict::Late->value, ForecastVerdict::AtRisk->value]) !== [] => self::AtRisk,
            $newest === Conformity::Inconclusive => self::NotProven,
            !$isRead => self::Unread,
            default => self::Calm,
        };
    }
}
