<?php

declare(strict_types=1);

return [
    'driver' => 'bcrypt',
    'bcrypt' => ['rounds' => (int) env('BCRYPT_ROUNDS', 12), 'verify' => true, 'limit' => null],
    // The application's account adds people but never changes them.
    'rehash_on_login' => false,
];
