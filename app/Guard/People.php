<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Support\Collection;
use Rheacid\Models\Person;
use Rheacid\Models\Role;

/** Who works here now. */
final class People
{
    private const MOST = 100;

    /** @return list<string> where those who work here want to be written to, all or those of some roles */
    public static function addresses(Role ...$roles): array
    {
        $people = Person::query()->with('credential')->whereHas('credential', static fn($credential) => $credential->whereNotNull('email'))->orderBy('name')->limit(self::MOST)->get()->filter(static fn(Person $person): bool => $person->enabled && ($roles === [] || in_array($person->role, $roles, true)));

        return array_values(array_unique($people->map(static fn(Person $person): string => (string) $person->credential?->email)->all()));
    }

    /** @return Collection<int, Person> those who can change hands by a PIN, by name */
    public static function withPin(): Collection
    {
        return Person::query()->whereHas('credential', static fn($credential) => $credential->whereNotNull('pin'))->orderBy('name')->limit(self::MOST)->get()->filter(static fn(Person $person): bool => $person->enabled)->values();
    }
}
