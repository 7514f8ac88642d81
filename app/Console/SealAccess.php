<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Rheacid\Guard\AccessLog;

/** Seals the access log of yesterday. */
final class SealAccess extends Command
{
    protected $signature = 'rheacid:access';

    protected $description = 'Seal a digest of what the access log of yesterday was';

    public function handle(): int
    {
        AccessLog::sealDay(CarbonImmutable::now()->subDay());

        return self::SUCCESS;
    }
}
