<?php

declare(strict_types=1);

return [
    'paths' => [resource_path('views')],
    'compiled' => storage_path('framework/views'),
    // Views are compiled at every start; looking for newer ones at every request is wasted.
    'check_cache_timestamps' => false,
];
