<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Actions\Batches\RecordMissedDeadlines;

/** Looks once a minute whether a deadline has passed that nobody read for. */
final class WatchDeadlines extends Command
{
    protected $signature = 'rheacid:deadlines';

    protected $description = 'Record deadlines that passed unread; those that bind hold their batch';

    public function handle(RecordMissedDeadlines $record): int
    {
        $this->line($record() . ' recorded.');

        return self::SUCCESS;
    }
}
