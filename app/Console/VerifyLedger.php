<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Records\LedgerCheck;

/** Compares the ledger with itself and with every record. */
final class VerifyLedger extends Command
{
    protected $signature = 'ledger:verify {--head= : a head hash printed earlier, which must still be in the ledger}';

    protected $description = 'Verify the chain of the audit ledger and every record sealed in it';

    public function handle(): int
    {
        $head = $this->option('head');
        $check = LedgerCheck::run(is_string($head) ? $head : null);
        if ($check['difference'] !== null) {
            $this->error('First difference: ' . $check['difference'] . '.');

            return self::FAILURE;
        }
        $this->info(sprintf('%d lines, every one follows the line before it, and every record is as it was sealed.', $check['lines']));
        $this->line('Head: ' . $check['head']);

        return self::SUCCESS;
    }
}
