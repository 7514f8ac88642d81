<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Database\Demo\Scenario;
use Illuminate\Console\Command;
use Rheacid\Models\Person;

/** Loads the invented scenario into an empty database. */
final class LoadDemo extends Command
{
    protected $signature = 'rheacid:demo';

    protected $description = 'Load the invented demo scenario when the database is empty';

    public function handle(Scenario $scenario): int
    {
        if (Person::query()->exists()) {
            $this->line('The database holds people already; nothing was loaded.');

            return self::SUCCESS;
        }
        $passphrase = config('rheacid.demo_passphrase');
        if (!is_string($passphrase) || $passphrase === '') {
            $this->error('Set DEMO_PASSPHRASE for the demo sign-ins first.');

            return self::FAILURE;
        }
        $scenario->load($passphrase);
        $this->line('The demo scenario is loaded.');

        return self::SUCCESS;
    }
}
