<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Board\Board;
use Rheacid\Find\Index;

/** Works the board and the search out again from the records. */
final class RebuildBoard extends Command
{
    protected $signature = 'rheacid:board';

    protected $description = 'Rebuild the board and the search from the records';

    public function handle(): int
    {
        Board::rebuild();
        Index::rebuild();
        $this->line('The board and the search were rebuilt from the records.');

        return self::SUCCESS;
    }
}
