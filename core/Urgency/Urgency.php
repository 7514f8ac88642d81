<?php

declare(strict_types=1);

namespace Rheacid\Core\Urgency;

use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Limits\Conformity;

/** In which order batches are looked after: the worst first. */
enum Urgency: int
{
    /** It has been released, and no longer stands; or it was recalled, and nobody has decided about it. */
    case GoneOut = 0;
    case Held = 1;
    case Broken = 2;
    case AtRisk = 3;
    case NotProven = 4;
    case Unread = 5;
    case Calm = 6;
    case Planned = 7;
    case Gone = 9;

    /** Where nothing binds, farther from a limit than any number of a limit. */
    public const FAR = 9999.0;

    /**
     * @param Conformity|null $newest the worst that the newest reading says of a binding limit; null where nothing binding was due
     * @param bool $isRead whether it was read at all
     * @param bool $isLate a deadline has passed that was not met
     * @param list<ForecastVerdict> $forecasts of the deadlines that lie ahead
     * @param bool $isFoundSince whether something was found after it went out, about which nobody has decided
     */
    public static function of(
        BatchState $state,
        ?Conformity $newest,
        bool $isRead,
        bool $isLate,
        array $forecasts,
        bool $isFoundSince = false,
    ): self {
        return match (true) {
            $isFoundSince || $state === BatchState::Recalled => self::GoneOut,
            $state === BatchState::Held => self::Held,
            $state === BatchState::Planned => self::Planned,
            !$state->isLive() => self::Gone,
            $isLate || $newest === Conformity::Outside => self::Broken,
            array_intersect(array_column($forecasts, 'value'), [ForecastVerdict::Late->value, ForecastVerdict::AtRisk->value]) !== []
                => self::AtRisk,
            $newest === Conformity::Inconclusive => self::NotProven,
            !$isRead => self::Unread,
            default => self::Calm,
        };
    }
}
