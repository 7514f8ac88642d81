<?php

declare(strict_types=1);

namespace Rheacid\Core\Access;

/**
 * Codes of six digits that a phone and the site work out from a secret that both know and from the time, a new one every
 * 30 s. Source: RFC 6238 on RFC 4226, with HMAC-SHA-1; the secret is written in Base32 (RFC 4648).
 */
final class TimeCode
{
    public const STEP_S = 30;
    public const DIGITS = 6;

    /** 160 bits, as RFC 4226 recommends. */
    public const SECRET_BYTES = 20;

    /** A code of the step before or after still holds: clocks differ, and people type. RFC 6238, 5.2. */
    private const AROUND = 1;

    private const BASE32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /**
     * @param string $secret bytes
     * @param int $seconds of the epoch
     */
    public static function at(string $secret, int $seconds, int $digits = self::DIGITS): string
    {
        return self::of($secret, intdiv($seconds, self::STEP_S), $digits);
    }

    /**
     * @param int $after the last step whose code was used: none holds twice
     *
     * @return int|null the step whose code it is; null where it is none that holds
     */
    public static function step(string $secret, string $typed, int $seconds, int $after): ?int
    {
        $code = (string) preg_replace('/\s/', '', $typed);
        $now = intdiv($seconds, self::STEP_S);
        for ($step = $now - self::AROUND; $step <= $now + self::AROUND; $step++) {
            if ($step > $after && hash_equals(self::of($secret, $step, self::DIGITS), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** As it is typed into a phone. */
    public static function base32(string $bytes): string
    {
        $bits = implode('', array_map(static fn(string $byte): string => sprintf('%08b', ord($byte)), str_split($bytes)));

        return implode(
            '',
            array_map(static fn(string $five): string => self::BASE32[(int) bindec(str_pad($five, 5, '0'))], str_split($bits, 5)),
        );
    }

    private static function of(string $secret, int $step, int $digits): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), $secret, true);
        $offset = ord($hash[19]) & 0xf;
        $number = (int) hexdec(bin2hex(substr($hash, $offset, 4))) & 0x7fffffff;

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }
}
