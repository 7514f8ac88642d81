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
    protected $signature = 'rheacid:person {username? : whose code is needed; without it, everybody is listed}';

    protected $description = 'List the people who can sign in, or make an invitation code for one of them';

    public function handle(): int
    {
        $username = $this->argument('username');
        if (!is_string($username)) {
            foreach (People::everybody() as $person) {
                $this->line(
                    sprintf(
                        '%-20s %-8s %s%s',
                        $person->credential?->username,
                        $person->role?->value,
                        $person->name,
                        $person->enabled ? '' : ' (left)',
                    ),
                );
            }

            return self::SUCCESS;
        }
        $person = Person::query()->whereRelation('credential', 'username', SignIn::plain($username))->first();
        if ($person === null || !$person->enabled) {
            $this->error(
                $person === null
                    ? "Nobody signs in as $username. Run bin/person for a list."
                    : "$person->name has left. A lead can change that on People.",
            );

            return self::FAILURE;
        }
        $code = Invitations::code($person);
        AccessLog::note(AccessKind::GivenCode, null, $person);
        $this->line(sprintf('Invitation code for %s, valid once and for %d days: %s', $person->name, Invitations::DAYS, $code));

        return self::SUCCESS;
    }
}
