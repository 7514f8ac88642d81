<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

/**
 * A live sample goes on working in its cup: within half an hour, or chilled, it still tells of the moment at which it was drawn;
 * later it counts from when it was read. Common practice, no source.
 */
final class Freshness
{
    public const MINUTES = 30;

    public static function isStale(\DateTimeImmutable $drawn, \DateTimeImmutable $read, bool $isChilled): bool
    {
        return !$isChilled && $read->getTimestamp() - $drawn->getTimestamp() > 60 * self::MINUTES;
    }

    /** The moment of which it tells. */
    public static function countsFrom(\DateTimeImmutable $drawn, \DateTimeImmutable $read, bool $isChilled): \DateTimeImmutable
    {
        return self::isStale($drawn, $read, $isChilled) ? $read : $drawn;
    }
}
