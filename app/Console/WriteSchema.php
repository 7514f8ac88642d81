<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Records\Schema;

/** Writes down the form of the database as the migrations have made it; a test keeps that current. */
final class WriteSchema extends Command
{
    protected $signature = 'rheacid:schema';

    protected $description = 'Write database/schema.txt, which bin/verify compares with the database';

    public function handle(): int
    {
        file_put_contents(Schema::path(), implode("\n", Schema::now()[0]) . "\n");

        return self::SUCCESS;
    }
}
