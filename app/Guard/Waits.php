<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Rheacid\Models\Person;

/**
 * Guessing takes longer each time: counted by what is guessed at, and by who guesses where that is known. A try is counted before
 * it is looked at, under a lock, so that many at once are no more than one after the other.
 */
final class Waits
{
    /** Slips that cost nothing. */
    private const FREE = 5;
    private const FIRST_S = 30;
    private const LONGEST_S = 12 * 3600;

    /** After so long without a try it begins again. */
    private const FORGOTTEN_S = 24 * 3600;

    /** Many at once wait for one another, and may be told to begin again by the database. */
    private const ATTEMPTS = 12;

    /** @return int seconds until a try may be made; 0 where this one may be looked at now, and is counted until it is forgotten */
    public static function take(string $what): int
    {
        return self::locked($what, static function (int $slips, int $until, int $now): array {
            if ($until > $now) {
                return [$until - $now, $slips, $until];
            }
            $slips = ($until < $now - self::FORGOTTEN_S ? 0 : $slips) + 1;

            return [0, $slips, $now + ($slips < self::FREE ? 0 : min(self::LONGEST_S, self::FIRST_S * 2 ** min(20, $slips - self::FREE)))];
        });
    }

    /** @return int seconds until a try may be made; 0 where fewer than so many were made in this hour, and this one is counted */
    public static function inHour(string $what, int $most): int
    {
        return self::locked(
            $what,
            static fn(int $slips, int $until, int $now): array => match (true) {
                $until <= $now => [0, 1, $now + 3600],
                $slips < $most => [0, $slips + 1, $until],
                default => [$until - $now, $slips, $until],
            },
        );
    }

    /**
     * A try whose wait is told at a field.
     *
     * @throws ValidationException if one has to wait before a try is looked at
     */
    public static function hold(string $what, string $field, Request $request, Person $person): void
    {
        $wait = self::take($what);
        if ($wait > 0) {
            AccessLog::note(AccessKind::MadeToWait, $request, $person);
            throw ValidationException::withMessages([
                $field => 'Too many wrong attempts: wait ' . self::words($wait) . ', or sign in again with the passphrase.',
            ])->status(429);
        }
    }

    public static function words(int $seconds): string
    {
        return $seconds < 120 ? "$seconds s" : ceil($seconds / 60) . ' min';
    }

    /** It was right: what was counted is gone. */
    public static function forget(string $what): void
    {
        DB::table('waits')
            ->where('what_sha256', self::key($what))
            ->update(['slips' => 0, 'until' => self::at(CarbonImmutable::now()->getTimestamp())]);
    }

    /** @param callable(int, int, int): array{int, int, int} $next from slips, until when, and now: the wait, and what is kept */
    private static function locked(string $what, callable $next): int
    {
        $key = self::key($what);
        $now = CarbonImmutable::now()->getTimestamp();
        DB::table('waits')->insertOrIgnore(['what_sha256' => $key, 'slips' => 0, 'until' => self::at($now)]);

        return DB::transaction(static function () use ($key, $now, $next): int {
            $row = DB::table('waits')->where('what_sha256', $key)->lockForUpdate()->sole();
            [$wait, $slips, $until] = $next((int) $row->slips, CarbonImmutable::parse((string) $row->until, 'UTC')->getTimestamp(), $now);
            DB::table('waits')
                ->where('what_sha256', $key)
                ->update(['slips' => $slips, 'until' => self::at($until)]);

            return $wait;
        }, self::ATTEMPTS);
    }

    private static function at(int $timestamp): string
    {
        return CarbonImmutable::createFromTimestamp($timestamp, 'UTC')->format('Y-m-d H:i:s.v');
    }

    private static function key(string $what): string
    {
        return hash('sha256', $what);
    }
}
