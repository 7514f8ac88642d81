<?php

declare(strict_types=1);

namespace Rheacid\Guard;

/**
 * By which whoever stands at the machine founds its site: printed by bin/start, used once, good for three days. It lies in a
 * file, for there are no records yet.
 */
final class SetUpCode
{
    private const DAYS = 3;

    public static function fresh(): string
    {
        $code = Codes::fresh();
        file_put_contents(self::file(), Codes::sha256($code));

        return $code;
    }

    /** @return bool whether it held: of two who use it at once, one has it */
    public static function use(string $code): bool
    {
        clearstatcache();

        return is_file(self::file())
            && time() - (int) filemtime(self::file()) < self::DAYS * 86_400
            && hash_equals((string) file_get_contents(self::file()), Codes::sha256($code))
            && @rename(self::file(), self::used());
    }

    /** What was begun with it could not be ended: it holds again. */
    public static function giveBack(): void
    {
        rename(self::used(), self::file());
    }

    private static function file(): string
    {
        return storage_path('setup-code');
    }

    private static function used(): string
    {
        return storage_path('setup-code.used');
    }
}
