<?php

declare(strict_types=1);

namespace Rheacid\Http;

/** The names under which the site is called. Any other Host is refused, so that no address is made from it. */
final class Hosts
{
    /** @return list<string> patterns */
    public static function accepted(): array
    {
        $configured = config('app.url');
        $own = is_string($configured) ? parse_url($configured, PHP_URL_HOST) : null;

        return array_map(
            static fn(string $host): string => '^' . preg_quote($host) . '$',
            array_values(array_unique([...is_string($own) ? [$own] : [], '127.0.0.1', 'localhost', '[::1]'])),
        );
    }
}
