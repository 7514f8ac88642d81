<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Mail;
use Rheacid\Core\Access\Role;
use Rheacid\Guard\People;
use Rheacid\Mail\KeepingLetter;
use Rheacid\Operations\Backups;
use Rheacid\Records\Ledger;
use Rheacid\Site\Settings;

/** Once a day: the head of the records, and what is wrong with how they are kept, to leads and auditors. */
final class WriteKeepers extends Command
{
    protected $signature = 'rheacid:keepers';

    protected $description = 'Send the head of the records and open tasks to leads and auditors';

    public function handle(): int
    {
        foreach (People::addresses(Role::Lead, Role::Auditor) as $address) {
            Mail::to($address)->queue(
                new KeepingLetter(Settings::now()->name, Ledger::head(), Backups::now()->problems(CarbonImmutable::now())),
            );
        }

        return self::SUCCESS;
    }
}
