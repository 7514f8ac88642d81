<?php

declare(strict_types=1);

namespace Rheacid\Board;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Rheacid\Find\Index;

/**
 * Writes the lines of the lists, and the deviations in the search, in the numbers and units that the site has chosen. Works in the queue:
 * a large site has many lines.
 */
final class Restyle implements ShouldQueue
{
    use Queueable;

    public int $timeout = 1800;

    public function handle(): void
    {
        Board::rewriteLive();
        Index::rewriteDeviations();
    }
}
