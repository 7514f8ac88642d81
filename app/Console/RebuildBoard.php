<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Board\Board;

/** Works the board out anew from the records. */
final class RebuildBoard extends Command
{
    protected $signature = 'rheacid:board';

    protected $description = 'Throw the board away and work it out anew from the records';

    public function handle(): int
    {
        Board::rebuild();
        $this->line('The board says what the records say.');

        return self::SUCCESS;
    }
}
