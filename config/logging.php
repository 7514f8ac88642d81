<?php

declare(strict_types=1);

use Monolog\Formatter\LineFormatter;

// A failure is one line.
return [
    'default' => 'single',
    'channels' => [
        'single' => [
            'driver' => 'single',
            'path' => storage_path('logs/rheacid.log'),
            'level' => 'warning',
            'formatter' => LineFormatter::class,
            'formatter_with' => ['format' => "%datetime% %level_name% %context% %message%\n", 'dateFormat' => 'Y-m-d\TH:i:s\Z'],
        ],
    ],
];
