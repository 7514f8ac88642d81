<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Actions\Batches\RecordMissedDeadlines;
use Rheacid\Actions\Batches\WarnOfDeadlines;
use Rheacid\Actions\Courses\WatchCourses;
use Rheacid\Settings;

/** Looks once a minute whether a deadline has passed that nobody read for, a span of temperatures is over, or a deadline draws near. */
final class WatchDeadlines extends Command
{
    protected $signature = 'rheacid:deadlines';

    protected $description = 'Record deadlines that passed unread, those that bind hold their batch; warn of those that are at risk or near';

    public function handle(RecordMissedDeadlines $record, WatchCourses $watch, WarnOfDeadlines $warn): int
    {
        Settings::now()->write();
        $this->line(sprintf('%d recorded, %d records of temperature worked out, %d warned of.', $record(), $watch(), $warn()));

        return self::SUCCESS;
    }
}
