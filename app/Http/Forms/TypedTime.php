<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms;

use Carbon\CarbonImmutable;
use Rheacid\Records\Refused;
use Rheacid\Site\Settings;

/** A day and a time as they were typed, on the site's clock. */
final class TypedTime
{
    /**
     * The moment in UTC. In the hour that comes twice it ends in "first" or "second", or the form says so beside it.
     *
     * @throws Refused if it is no time, lies in the hour that is left out, or in the one that comes twice without saying which
     */
    public static function read(string $text, string $field = 'drawn_at'): CarbonImmutable
    {
        $which = preg_match('/\s(first|second)$/D', trim($text), $match) === 1 ? $match[1] : request()->input("{$field}_hour");
        $shown = self::shown($text) ?? throw Refused::because('Type a date and time like 2026-11-24 09:40.', $field);
        $moments = Settings::now()->clock->moments($shown);
        $chosen = match (true) {
            $moments === [] => throw Refused::because("The clock went forward, so $shown does not exist.", $field),
            count($moments) === 1 || $which === 'first' => $moments[0],
            $which === 'second' => $moments[1],
            default => throw Refused::because("The clock went back, so $shown occurred twice. Choose the first or the second.", $field),
        };

        return CarbonImmutable::instance($chosen)->utc();
    }

    /** Whether what was typed lies in an hour that came twice, so that a form asks which. */
    public static function comesTwice(mixed $typed): bool
    {
        $shown = is_string($typed) ? self::shown($typed) : null;

        return $shown !== null && count(Settings::now()->clock->moments($shown)) > 1;
    }

    /** What was typed as YYYY-MM-DD HH:MM; null where that is no day or no time. */
    private static function shown(string $text): ?string
    {
        $text = (string) preg_replace('/\s+(first|second)$/D', '', trim($text));
        foreach (['Y-m-d\TH:i', 'Y-m-d\TH:i:s', 'Y-m-d H:i'] as $format) {
            $at = \DateTimeImmutable::createFromFormat("!$format", $text, new \DateTimeZone('UTC'));
            // A day that does not exist is rolled on by PHP; it is refused here.
            if ($at !== false && $at->format($format) === $text) {
                return $at->format('Y-m-d H:i');
            }
        }

        return null;
    }
}
