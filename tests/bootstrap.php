<?php

declare(strict_types=1);

require __DIR__ . '/../vendor/autoload.php';

// Two processes of the tests, two houses: the second has a database and a web server of its own, as bin/test has set them up.
if (getenv('TEST_TOKEN') === '2') {
    putenv('DB_OWNER_PASSWORD=' . getenv('DB_OWNER_PASSWORD_2'));
    putenv('RHEACID_HOME=' . dirname(__DIR__) . '/var/test-2');
}
