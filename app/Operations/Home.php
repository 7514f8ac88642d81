<?php

declare(strict_types=1);

namespace Rheacid\Operations;

/** Where the installation keeps what is its own: settings, what its scripts tell, and what the application itself stores. */
final class Home
{
    /** What the scripts of root tell the application: it reads there, and writes nothing. */
    public static function mark(string $file): string
    {
        $directory = config('rheacid.told');

        return (is_string($directory) ? $directory : app()->environmentPath() . '/told') . "/$file";
    }
}
