<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Records\SealedTables;

/** Called by ops/attack: which tables hold records. */
final class ListSealedTables extends Command
{
    protected $signature = 'rheacid:sealed-tables';

    protected $description = 'List the tables whose rows are sealed in the ledger';

    public function handle(): int
    {
        foreach (SealedTables::all() as $table) {
            $this->line($table);
        }

        return self::SUCCESS;
    }
}
