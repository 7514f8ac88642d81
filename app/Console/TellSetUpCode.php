<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Guard\SetUpCode;
use Rheacid\Models\Site;

/** Called by bin/start on an installation that nobody has founded. */
final class TellSetUpCode extends Command
{
    protected $signature = 'rheacid:set-up-code';

    protected $description = 'Print the invitation code that sets up an empty installation; print nothing if it is set up';

    public function handle(): int
    {
        if (Site::current() === null) {
            $this->line(SetUpCode::fresh());
        }

        return self::SUCCESS;
    }
}
