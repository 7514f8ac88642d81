<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/**
 * Who has signed in on this device before: guessing elsewhere makes nobody wait at a bench of their own. The cookie is encrypted
 * with the key of the installation, so that nobody writes one.
 */
final class Device
{
    private const COOKIE = 'rheacid_device';
    private const DAYS = 400;
    private const MOST = 20;

    /** Which device it is, where that person has come in on it before; null elsewhere. */
    public static function known(Request $request, string $username): ?string
    {
        [$id, $known] = self::read($request);

        return in_array(SignIn::waitsAs($username), $known, true) ? "device $id" : null;
    }

    /** Only once somebody is in: whoever knows half of what is asked must not make themselves a device that is known. */
    public static function remember(Request $request, string $username): void
    {
        [$id, $known] = self::read($request);
        $known = array_slice(array_values(array_unique([SignIn::waitsAs($username), ...$known])), 0, self::MOST);
        Cookie::queue(
            Cookie::make(
                self::COOKIE . '_' . config('session.cookie'),
                (string) json_encode([$id, $known]),
                self::DAYS * 1440,
                sameSite: 'strict',
            ),
        );
    }

    /** @return array{string, list<string>} */
    private static function read(Request $request): array
    {
        $cookie = $request->cookie(self::COOKIE . '_' . config('session.cookie'));
        $kept = is_string($cookie) ? json_decode($cookie, true) : null;

        return is_array($kept) && is_string($kept[0] ?? null) && is_array($kept[1] ?? null)
            ? [$kept[0], array_values(array_filter($kept[1], is_string(...)))]
            : [(string) Str::uuid(), []];
    }
}
