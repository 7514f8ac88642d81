<?php

declare(strict_types=1);

namespace Rheacid\Site;

use Carbon\CarbonImmutable;

/** The site's clock on the wall: times are kept in UTC and said in the zone in which the site was then. */
final class SiteClock
{
    public static function local(\DateTimeInterface $at): CarbonImmutable
    {
        return CarbonImmutable::instance($at)->setTimezone(self::zone($at));
    }

    /** In force at that time. */
    public static function zone(\DateTimeInterface $at): \DateTimeZone
    {
        return Settings::now()->clock->zone($at);
    }

    /** The day on the site's clock, YYYY-MM-DD. */
    public static function today(): string
    {
        return self::local(CarbonImmutable::now())->toDateString();
    }

    /** 10:40 today, Thu 08:00 yesterday and within the week ahead, 3 Nov 08:00 beyond: a weekday never means two days. */
    public static function short(\DateTimeInterface $at): string
    {
        $local = self::local($at);
        $days = self::local(CarbonImmutable::now())->startOfDay()->diffInDays($local->startOfDay());

        return $local->format(match (true) {
            abs($days) < 0.5 => 'H:i',
            $days > -1.5 && $days < 5.5 => 'D H:i',
            default => 'j M H:i',
        }) . self::mark($local);
    }

    public static function day(\DateTimeInterface $at): string
    {
        return self::local($at)->format('j M Y');
    }

    /** A day that was calculated from a trend, between the ends of its 90 % interval; an end that is null has no bound. */
    public static function reckonedDay(string $on, ?string $earliest, ?string $latest): string
    {
        $day = static fn(string $date): string => self::day(CarbonImmutable::parse($date));

        return $day($on) . match (true) {
            $earliest !== null && $latest !== null => sprintf(' (%s to %s, at 90 %% confidence)', $day($earliest), $day($latest)),
            $earliest !== null => sprintf(' (at the earliest %s)', $day($earliest)),
            $latest !== null => sprintf(' (at the latest %s)', $day($latest)),
            default => ' (too uncertain yet to say when)',
        };
    }

    public static function full(\DateTimeInterface $at): string
    {
        $local = self::local($at);

        return $local->format('D j M Y, H:i') . self::mark($local);
    }

    public static function endOfDay(\DateTimeInterface $at): CarbonImmutable
    {
        return self::local($at)->endOfDay()->startOfSecond()->utc();
    }

    /** As a datetime-local field holds it. */
    public static function field(\DateTimeInterface $at): string
    {
        return self::local($at)->format('Y-m-d\TH:i');
    }

    /** The zone behind a time of the hour that exists twice. */
    private static function mark(CarbonImmutable $local): string
    {
        return Settings::now()->clock->isTwice($local) ? $local->format(' T') : '';
    }
}
