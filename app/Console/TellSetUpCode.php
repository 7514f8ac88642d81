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

    protected $description = 'Print a code by which an empty installation is set up; nothing where it is founded';

    public function handle(): int
    {
        if (Site::current() === null) {
            $this->line(SetUpCode::fresh());
        }

        return self::SUCCESS;
    }
}
