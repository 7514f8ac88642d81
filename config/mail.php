<?php

declare(strict_types=1);

return [
    'default' => 'smtp',
    'mailers' => [
        // The stand-in of ops/mailbox.php, unless the settings name another.
        'smtp' => [
            'transport' => 'smtp',
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_HOST') ? env('MAIL_PORT', 25) : env('MAILBOX_PORT', 23190),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
        ],
    ],
    'from' => ['address' => env('MAIL_FROM', 'rheacid@localhost'), 'name' => 'Rheacid'],
];
