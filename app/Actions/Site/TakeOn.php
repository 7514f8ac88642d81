<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Rheacid\Core\Access\Right;
use Rheacid\Core\Access\Role;
use Rheacid\Guard\People;
use Rheacid\Models\Appointment;
use Rheacid\Models\Credential;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Takes a person on in a role. How they sign in is kept apart, and never sealed. */
final class TakeOn
{
    /**
     * @param string $passphrase and $pin hashed
     *
     * @throws Refused if the name is taken, in other letters too
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        string $username,
        string $name,
        Role $role,
        string $passphrase,
        ?string $pin,
        bool $invented,
    ): Person {
        $person = Recording::once(
            $by,
            $form,
            'take a person on',
            Person::class,
            static function (Entry $entry) use ($by, $username, $name, $role, $passphrase, $pin, $invented): Person {
                if (People::isTaken($username)) {
                    throw Refused::because('This sign-in name, or one that looks like it, is already taken.', 'username');
                }
                $person = $entry->add(new Person(['name' => $name, 'invented' => $invented]));
                $entry->add(
                    new Appointment([
                        'person_id' => $person->id,
                        'role' => $role,
                        'enabled' => true,
                        'at' => $entry->at,
                        'appointed_by_id' => $by->id,
                    ]),
                );
                Credential::query()->create([
                    'person_id' => $person->id,
                    'username' => $username,
                    'passphrase' => $passphrase,
                    'pin' => $pin,
                ]);

                return $person;
            },
            Right::Lead,
        );

        return Person::query()->findOrFail($person->id);
    }
}
