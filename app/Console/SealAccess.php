<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Guard\AccessLog;

/** Seals the access log of each day that is over. */
final class SealAccess extends Command
{
    protected $signature = 'rheacid:access';

    protected $description = 'Seal a digest of the access log of each day';

    public function handle(): int
    {
        AccessLog::sealDays();

        return self::SUCCESS;
    }
}
