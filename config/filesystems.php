<?php

declare(strict_types=1);

// Files are kept in the records; nothing is served from a disk.
return [
    'default' => 'local',
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('framework/cache'), 'serve' => false]],
];
