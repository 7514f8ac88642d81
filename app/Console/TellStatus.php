<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Rheacid\Keeping;
use Rheacid\Records\Ledger;

/** The part of bin/status that the records know. */
final class TellStatus extends Command
{
    protected $signature = 'rheacid:status';

    protected $description = 'Say how records, queue, backups and verifications stand';

    public function handle(): int
    {
        $keeping = Keeping::now();
        $last = Ledger::last();
        $failed = DB::table('failed_jobs')->count();
        $this->line(sprintf('%-12s %s', 'records', $last === null ? 'none yet' : "line $last->seq of $last->at, head $last->hash"));
        $this->line(sprintf('%-12s %s', 'queue', DB::table('jobs')->count() . ' waiting' . ($failed === 0 ? '' : ", $failed could not be sent")));
        foreach (['backup', 'verification'] as $what) {
            $this->line(sprintf('%-12s %s', $what, $keeping->last($what)?->diffForHumans() ?? 'never'));
        }
        foreach ($problems = $keeping->problems(CarbonImmutable::now()) as $problem) {
            $this->line(sprintf('%-12s %s', 'see to', $problem));
        }

        return $problems === [] ? self::SUCCESS : self::FAILURE;
    }
}
