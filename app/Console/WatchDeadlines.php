<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Actions\Batches\RecordMissedDeadlines;
use Rheacid\Actions\Batches\WarnOfDeadlines;
use Rheacid\Actions\Batches\WatchCourses;
use Rheacid\Actions\Calibrate\CloseStaleRun;
use Rheacid\Board\Board;
use Rheacid\Site\Settings;

/**
 * Looks once a minute whether a deadline has passed that nobody read for, a span of temperatures is over, a deadline draws near, or a
 * calibration was left.
 */
final class WatchDeadlines extends Command
{
    protected $signature = 'rheacid:deadlines';

    protected $description = 'Record missed deadlines, hold their batches, and warn of deadlines that are at risk or near, and end '
        . 'calibrations that were left';

    public function handle(RecordMissedDeadlines $record, WatchCourses $watch, WarnOfDeadlines $warn, CloseStaleRun $close): int
    {
        Settings::now()->write();
        Board::freshen();
        $this->line(
            sprintf(
                '%d recorded, %d temperature records evaluated, %d warnings, %d calibrations ended.',
                $record(),
                $watch(),
                $warn(),
                $close(),
            ),
        );

        return self::SUCCESS;
    }
}
