<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Board\Board;
use Rheacid\Guard\AccessLog;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Schema;

/** Compares the ledger with itself and with every record. */
final class VerifyLedger extends Command
{
    protected $signature = 'ledger:verify {--head= : a head hash printed earlier, which must still be in the ledger} {--since=0 : start '
        . 'from that line, whose hash is --head} {--schema : also compare tables, triggers and rights}';

    protected $description = 'Verify the ledger, every record sealed in it, and the database schema';

    /** A check that could not be done is not one that failed. */
    private const COULD_NOT = 3;

    public function handle(): int
    {
        try {
            return $this->check();
        } catch (\PDOException $away) {
            $this->error('The records could not be checked: ' . $away->getMessage());

            return self::COULD_NOT;
        }
    }

    private function check(): int
    {
        $head = $this->option('head');
        $since = (int) $this->option('since');
        $check = LedgerCheck::run(is_string($head) ? $head : null, $since);
        $schema = $this->option('schema') === true ? Schema::compare() : ['difference' => null, 'unseen' => []];
        foreach ($schema['unseen'] as $unseen) {
            $this->line("Not checked: $unseen.");
        }
        $changed = $since > 0 ? null : AccessLog::changedDay();
        $difference
            = $check['difference']
            ?? ($schema['difference']
                ?? (($this->option('schema') === true ? Board::difference() : null)
                    ?? ($changed === null ? null : "the access log of $changed differs from its sealed digest")));
        if ($difference !== null) {
            $this->error("First difference: $difference.");

            return self::FAILURE;
        }
        $this->info(
            sprintf(
                '%s ledger lines%s are in order, and every record matches its line.',
                $check['lines'] - $since,
                $since > 0 ? " since line $since" : '',
            ),
        );
        if ($this->option('schema') === true) {
            $this->info('Tables, triggers and rights match the migrations, and the board matches the records.');
        }
        $this->line("Head: {$check['head']}, line {$check['lines']}");

        return self::SUCCESS;
    }
}
