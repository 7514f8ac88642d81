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
    protected $signature = 'ledger:verify {--head= : a head hash printed earlier, which must still be in the ledger} {--since=0 : go on from that line, whose hash is --head} {--schema : compare tables, triggers and rights as well}';

    protected $description = 'Verify the chain of the audit ledger, every record sealed in it, and the form of the database';

    /** A check that could not be done is not one that failed. */
    private const COULD_NOT = 3;

    public function handle(): int
    {
        try {
            return $this->check();
        } catch (\PDOException $away) {
            $this->error('It could not be checked: ' . $away->getMessage());

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
            $this->line("Not looked at: $unseen.");
        }
        $changed = $since > 0 ? null : AccessLog::changedDay();
        $difference = $check['difference'] ?? $schema['difference'] ?? ($this->option('schema') === true ? Board::difference() : null) ?? ($changed === null ? null : "the access log of $changed is not what was sealed");
        if ($difference !== null) {
            $this->error("First difference: $difference.");

            return self::FAILURE;
        }
        $this->info(sprintf('%s lines%s, every one follows the line before it, and every record is as it was sealed.', $check['lines'] - $since, $since > 0 ? " since line $since" : ''));
        if ($this->option('schema') === true) {
            $this->info('Tables, triggers and rights are as the migrations make them, and the board says what the records say.');
        }
        $this->line("Head: {$check['head']}, line {$check['lines']}");

        return self::SUCCESS;
    }
}
