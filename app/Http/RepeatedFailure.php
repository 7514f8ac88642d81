<?php

declare(strict_types=1);

namespace Rheacid\Http;

/** The same failure a moment later: a page that asks every second fills no log. */
final class RepeatedFailure
{
    private const QUIET_S = 10;

    public static function isAgain(\Throwable $failure): bool
    {
        $file = storage_path('logs/last-failure');
        $mark = hash('sha256', $failure::class . preg_replace('/\d+/', '#', $failure->getMessage()));
        $again = is_file($file) && (string) @file_get_contents($file) === $mark && time() - (int) @filemtime($file) < self::QUIET_S;
        if (!$again) {
            @file_put_contents($file, $mark);
        }

        return $again;
    }
}
