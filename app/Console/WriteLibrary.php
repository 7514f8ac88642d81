<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Core\Products\Library;
use Rheacid\Core\Products\LibraryTables;

/** Writes the library of products down as tables, so that a change of it can be reviewed line by line. */
final class WriteLibrary extends Command
{
    protected $signature = 'rheacid:library';

    protected $description = 'Write docs/library.md: every limit of the library with its kind, condition, time, route, method and source';

    public function handle(): int
    {
        file_put_contents(base_path('docs/library.md'), LibraryTables::tables(array_values(Library::all())));

        return self::SUCCESS;
    }
}
