<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Rheacid\Core\Access\Role;
use Rheacid\Models\Person;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** Takes somebody on who sets a passphrase of their own: the lead never knows one. */
final readonly class Invite
{
    public function __construct(private TakeOn $takeOn) {}

    /** @throws Refused if the name is taken, in other letters too */
    public function __invoke(Person $by, IdempotencyKey $form, string $username, string $name, Role $role): Person
    {
        return ($this->takeOn)($by, $form, $username, $name, $role, Hash::make(Str::random(64)), null, false);
    }
}
