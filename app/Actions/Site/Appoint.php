<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Rheacid\Core\Access\Right;
use Rheacid\Core\Access\Role;
use Rheacid\Guard\Invitations;
use Rheacid\Guard\People;
use Rheacid\Guard\SignIns;
use Rheacid\Models\Appointment;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** From now on a person has another role, has left, or works here again. What they recorded keeps their name. */
final class Appoint
{
    /** @throws Refused for oneself, and where no lead would be left */
    public function __invoke(Person $by, IdempotencyKey $form, Person $person, Role $role, bool $enabled, string $reason): Appointment
    {
        $appointment = Recording::once(
            $by,
            $form,
            'appoint a person',
            Appointment::class,
            static function (Entry $entry) use ($by, $person, $role, $enabled, $reason): Appointment {
                $person = Person::query()->findOrFail($person->id);
                $why = match (true) {
                    $person->is($by) => 'Nobody changes what they are themselves; another lead does it.',
                    $person->credential === null => 'This is the site itself, not a person.',
                    $person->role === Role::Lead && $person->enabled && ($role !== Role::Lead || !$enabled) && People::leads() < 2
                        => 'That is the last lead. Make somebody else one first.',
                    default => null,
                };
                if ($why !== null) {
                    throw Refused::because($why, 'reason');
                }

                return $entry->add(
                    new Appointment([
                        'person_id' => $person->id,
                        'role' => $role,
                        'enabled' => $enabled,
                        'reason' => $reason,
                        'at' => $entry->at,
                        'appointed_by_id' => $by->id,
                    ]),
                );
            },
            Right::Lead,
        );
        // Whatever is open was opened by who that person was before; it stays closed also if the person comes back.
        SignIns::endAll($person);
        if (!$enabled) {
            Invitations::void($person);
        }

        return $appointment;
    }
}
