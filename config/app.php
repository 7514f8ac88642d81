<?php

declare(strict_types=1);

return [
    'name' => 'Rheacid',
    'env' => env('APP_ENV', 'production'),
    'debug' => false,
    // Where people reach it: behind TLS a name of its own, else where nginx listens.
    'url' => env('PUBLIC_URL') ?: env('APP_URL', 'http://127.0.0.1:8090'),
    // Times are kept in UTC; the plant's own zone is rheacid.time_zone.
    'timezone' => 'UTC',
    'locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'maintenance' => ['driver' => 'file'],
];
