<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Validation\ValidationException;
use Rheacid\Models\Person;

/** Guessing takes longer each time: counted by the person who is guessed at, and by who guesses where that is known. */
final class Waits
{
    /** Slips that cost nothing. */
    private const FREE = 5;
    private const FIRST_S = 30;
    private const LONGEST_S = 12 * 3600;

    /** Seconds until the next try is looked at; 0 if it may be made now. */
    public static function left(string $what): int
    {
        $until = self::state($what)['until'];

        return (int) max(0, ceil(CarbonImmutable::now()->diffInSeconds(CarbonImmutable::createFromTimestamp($until))));
    }

    /** @throws ValidationException if one has to wait before a try is looked at, by the field of it */
    public static function hold(string $what, string $field, Request $request, Person $person): void
    {
        $wait = self::left($what);
        if ($wait > 0) {
            AccessLog::note(AccessKind::MadeToWait, $request, $person);
            throw ValidationException::withMessages([$field => sprintf('Too many wrong ones: wait %s, or sign in anew with the passphrase.', $wait < 120 ? "$wait s" : ceil($wait / 60) . ' min')])->status(429);
        }
    }

    /** Each further slip doubles the wait. */
    public static function slipped(string $what): void
    {
        $slips = self::state($what)['slips'] + 1;
        $wait = $slips < self::FREE ? 0 : min(self::LONGEST_S, self::FIRST_S * 2 ** min(20, $slips - self::FREE));
        Cache::put("wait $what", ['slips' => $slips, 'until' => CarbonImmutable::now()->getTimestamp() + $wait], self::LONGEST_S * 2);
    }

    public static function forget(string $what): void
    {
        Cache::forget("wait $what");
    }

    /** @return array{slips: int, until: int} */
    private static function state(string $what): array
    {
        $kept = Cache::get("wait $what");

        return is_array($kept) && is_int($kept['slips'] ?? null) && is_int($kept['until'] ?? null) ? ['slips' => $kept['slips'], 'until' => $kept['until']] : ['slips' => 0, 'until' => 0];
    }
}
