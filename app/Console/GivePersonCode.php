<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\Invitations;
use Rheacid\Guard\People;
use Rheacid\Guard\SignIn;
use Rheacid\Models\Person;

/** Called by bin/person: a new code for somebody who forgot, made by whoever keeps the machine, and noted. */
final class GivePersonCode extends Command
{
    protected $signature = 'rheacid:person {username? : who forgot; without it, who signs in here is listed}';

    protected $description = 'List who signs in here, or make a new code for one of them';

    public function handle(): int
    {
        $username = $this->argument('username');
        if (!is_string($username)) {
            foreach (People::everybody() as $person) {
                $this->line(sprintf('%-20s %-8s %s%s', $person->credential?->username, $person->role?->value, $person->name, $person->enabled ? '' : ' (works here no more)'));
            }

            return self::SUCCESS;
        }
        $person = Person::query()->whereRelation('credential', 'username', SignIn::plain($username))->first();
        if ($person === null || !$person->enabled) {
            $this->error($person === null ? "Nobody signs in as $username; bin/person lists who does." : "$person->name works here no more; a lead changes that.");

            return self::FAILURE;
        }
        $code = Invitations::code($person);
        AccessLog::note(AccessKind::GivenCode, null, $person);
        $this->line(sprintf('%s comes in by this code, once, within %d days: %s', $person->name, Invitations::DAYS, $code));

        return self::SUCCESS;
    }
}
