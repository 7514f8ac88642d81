<?php

declare(strict_types=1);

namespace Rheacid\Guard;

/** Codes that are told once and used once: they are kept by their digest alone. */
final class Codes
{
    /** Letters and digits that are not taken for one another when they are read out. */
    private const SIGNS = 'ACDEFHJKMNPRTUVWXY34679';
    private const LENGTH = 12;

    public static function fresh(): string
    {
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];
        }

        return implode('-', str_split($code, 4));
    }

    /** However it is typed: small letters, spaces and hyphens do not matter. */
    public static function sha256(string $code): string
    {
        return hash('sha256', (string) preg_replace('/[^A-Z0-9]/', '', mb_strtoupper($code)));
    }
}
