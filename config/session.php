<?php

declare(strict_types=1);

return [
    'driver' => 'file',
    'lifetime' => 720,
    'expire_on_close' => true,
    'encrypt' => true,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    // Cookies know no ports: each installation of a machine has a name of its own.
    'cookie' => 'rheacid_' . basename(rtrim((string) (getenv('RHEACID_HOME') ?: 'demo'), '/')),
    'path' => '/',
    'secure' => str_starts_with((string) env('PUBLIC_URL', ''), 'https://'),
    'http_only' => true,
    'same_site' => 'strict',
];
