<?php

declare(strict_types=1);

$rheacid = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '23090'),
    'database' => env('DB_DATABASE', 'rheacid'),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'strict' => true,
    'timezone' => '+00:00',
    // Emulated prepares save a round trip a query; values still come back typed.
    // Who has waited for a lock must see what was decided meanwhile, not what stood when the transaction began.
    'isolation_level' => 'READ COMMITTED',
    'options' => [PDO::ATTR_TIMEOUT => 5, PDO::ATTR_EMULATE_PREPARES => true],
];

return [
    'default' => 'bench',
    'connections' => [
        // What the application works with: rights table by table, records only added.
        'bench' => [...$rheacid, 'username' => 'rheacid_app', 'password' => env('DB_APP_PASSWORD')],
        // Migrations and grants only.
        'owner' => [...$rheacid, 'username' => 'rheacid_owner', 'password' => env('DB_OWNER_PASSWORD')],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
