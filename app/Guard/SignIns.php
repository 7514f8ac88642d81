<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Rheacid\Models\Person;

/** Where each person is signed in: seen by themselves, and ended by them, by a lead, or by what changes how they come in. */
final class SignIns
{
    private const KEY = 'sign_in';

    /** Shown, the newest first; nobody has more benches. */
    private const SHOWN = 20;

    /** That somebody is still there is written down so often, and no more. */
    private const SEEN_EVERY_S = 60;

    /** What the browser says of itself, in the words of people. */
    private const DEVICES = [
        '/iPhone|iPod/' => 'a telephone',
        '/iPad|Tablet/' => 'a tablet',
        '/Android.*Mobile/' => 'a telephone',
        '/Android/' => 'a tablet',
        '/Windows|Macintosh|Linux|CrOS/' => 'a computer',
    ];

    public static function begin(Request $request, Person $person, bool $byPin): void
    {
        self::endHere($request);
        $now = self::now();
        $request
            ->session()
            ->put(
                self::KEY,
                DB::table('sign_ins')->insertGetId([
                    'person_id' => $person->id,
                    'began_at' => $now,
                    'seen_at' => $now,
                    'address' => (string) $request->ip(),
                    'device' => self::device((string) $request->userAgent()),
                    'by_pin' => $byPin,
                ]),
            );
    }

    /** Whether it was ended elsewhere; what is still open is noted as seen. */
    public static function isEnded(Request $request): bool
    {
        $id = self::here($request);
        $row
            = $id === null
                ? null
                : DB::table('sign_ins')
                    ->where('id', $id)
                    ->first(['seen_at', 'ended_at']);
        if ($row === null || $row->ended_at !== null) {
            return $row !== null;
        }
        if (CarbonImmutable::parse((string) $row->seen_at, 'UTC')->diffInSeconds(CarbonImmutable::now()) >= self::SEEN_EVERY_S) {
            DB::table('sign_ins')
                ->where('id', $id)
                ->update(['seen_at' => self::now()]);
        }

        return false;
    }

    /** @return Collection<int, \stdClass> of a person, that are open, with whether each is this one */
    public static function open(Person $person, Request $request): Collection
    {
        $lifetime = config('session.lifetime');

        return DB::table('sign_ins')
            ->where('person_id', $person->id)
            ->whereNull('ended_at')
            ->where(
                'seen_at',
                '>',
                CarbonImmutable::now()
                    ->subMinutes(is_int($lifetime) ? $lifetime : 0)
                    ->format('Y-m-d H:i:s.v'),
            )
            ->orderByDesc('id')
            ->limit(self::SHOWN)
            ->get()
            ->map(static fn(\stdClass $row): \stdClass => (object) [...(array) $row, 'isHere' => (int) $row->id === self::here($request)]);
    }

    /** @return bool whether there was such a one of that person */
    public static function end(Person $person, int $id): bool
    {
        return DB::table('sign_ins')
            ->where('id', $id)
            ->where('person_id', $person->id)
            ->whereNull('ended_at')
            ->update(['ended_at' => self::now()]) === 1;
    }

    /** All of a person but the one that asks for it. */
    public static function endAll(Person $person, ?Request $except = null): void
    {
        DB::table('sign_ins')
            ->where('person_id', $person->id)
            ->whereNull('ended_at')
            ->where('id', '<>', $except === null ? 0 : self::here($except) ?? 0)
            ->update(['ended_at' => self::now()]);
    }

    /** The one of this session. */
    public static function endHere(Request $request): void
    {
        DB::table('sign_ins')
            ->where('id', self::here($request))
            ->whereNull('ended_at')
            ->update(['ended_at' => self::now()]);
    }

    private static function here(Request $request): ?int
    {
        $id = $request->hasSession() ? $request->session()->get(self::KEY) : null;

        return is_int($id) ? $id : null;
    }

    private static function device(string $agent): string
    {
        foreach (self::DEVICES as $pattern => $words) {
            if (preg_match($pattern, $agent) === 1) {
                return $words;
            }
        }

        return 'unknown device';
    }

    private static function now(): string
    {
        return CarbonImmutable::now()->format('Y-m-d H:i:s.v');
    }
}
