<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Rheacid\Operations\Backups;
use Rheacid\Operations\InstallationHealth;
use Rheacid\Records\Ledger;

/** The part of bin/status that the records know. */
final class TellStatus extends Command
{
    protected $signature = 'rheacid:status';

    protected $description = 'Show the state of records, queue, backups and verification';

    public function handle(): int
    {
        $keeping = Backups::now();
        $health = InstallationHealth::now();
        if (!$health->takesRecords) {
            return $this->tell($health);
        }
        $last = Ledger::last();
        $failed = DB::table('failed_jobs')->count();
        $this->line(sprintf('%-12s %s', 'records', $last === null ? 'none yet' : "line $last->seq of $last->at, head $last->hash"));
        $this->line(
            sprintf('%-12s %s', 'queue', DB::table('jobs')->count() . ' waiting' . ($failed === 0 ? '' : ", $failed could not be sent")),
        );
        foreach (['backup', 'verification'] as $what) {
            $this->line(sprintf('%-12s %s', $what, $keeping->last($what)?->diffForHumans() ?? 'never'));
        }

        return $this->tell($health);
    }

    /** @return int 1 where nothing can be recorded, 4 where something needs attention */
    private function tell(InstallationHealth $health): int
    {
        foreach (['no records' => $health->blocks, 'attention' => $health->attention] as $what => $lines) {
            foreach ($lines as $line) {
                $this->line(sprintf('%-12s %s', $what, $line));
            }
        }

        return match (true) {
            $health->blocks !== [] => self::FAILURE,
            $health->attention !== [] => 4,
            default => self::SUCCESS,
        };
    }
}
