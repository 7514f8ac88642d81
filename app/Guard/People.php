<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Pagination\CursorPaginator;
use Illuminate\Support\Collection;
use Illuminate\Support\LazyCollection;
use Rheacid\Core\Access\Role;
use Rheacid\Models\Appointment;
use Rheacid\Models\Credential;
use Rheacid\Models\Person;

/** Who works here now. */
final class People
{
    private const MOST = 100;
    private const PAGE = 50;

    /** @return list<string> where those who work here want to be written to, all or those of some roles */
    public static function addresses(Role ...$roles): array
    {
        $people = Person::query()
            ->with('credential')
            ->whereHas('credential', static fn($credential) => $credential->whereNotNull('email'))
            ->orderBy('name')
            ->limit(self::MOST)
            ->get()
            ->filter(static fn(Person $person): bool => $person->enabled && ($roles === [] || in_array($person->role, $roles, true)));

        return array_values(array_unique($people->map(static fn(Person $person): string => (string) $person->credential?->email)->all()));
    }

    /** @return CursorPaginator<int, Person> who works here, and who did, by name; not the site itself */
    public static function page(): CursorPaginator
    {
        return Person::query()->with('credential')->whereHas('credential')->orderBy('name')->orderBy('id')->cursorPaginate(self::PAGE);
    }

    /** @return LazyCollection<int, Person> all of them, one after the other: for what must leave nobody out, on no page */
    public static function everybody(): LazyCollection
    {
        return Person::query()->with('credential')->whereHas('credential')->lazyById(self::MOST);
    }

    /**
     * @param list<int> $gone ids, as they were laid down
     *
     * @return list<string> names of those among them who may come in by these records
     */
    public static function backFrom(array $gone): array
    {
        return array_values(
            Person::query()
                ->whereKey($gone)
                ->orderBy('name')
                ->get()
                ->filter(static fn(Person $person): bool => $person->enabled)
                ->map(static fn(Person $person): string => (string) $person->name)
                ->all(),
        );
    }

    /** Who works here now; null for anybody else. */
    public static function here(int $id): ?Person
    {
        $person = Person::query()->whereKey($id)->first();

        return $person?->enabled === true ? $person : null;
    }

    public static function wasEverLead(Person $person): bool
    {
        return Appointment::query()->where('person_id', $person->id)->where('role', Role::Lead)->exists();
    }

    public static function leads(): int
    {
        return self::everybody()->filter(static fn(Person $person): bool => $person->enabled && $person->role === Role::Lead)->count();
    }

    /** Whether somebody signs in by that name, or by one that looks like it. */
    public static function isTaken(string $username): bool
    {
        $looksLike = SignIn::waitsAs($username);

        return Credential::query()
            ->lazyById(self::MOST)
            ->contains(static fn(Credential $known): bool => SignIn::waitsAs((string) $known->username) === $looksLike);
    }

    /** @return Collection<int, Person> those who can change hands by a PIN, by name */
    public static function withPin(): Collection
    {
        return Person::query()
            ->whereHas('credential', static fn($credential) => $credential->whereNotNull('pin'))
            ->orderBy('name')
            ->limit(self::MOST)
            ->get()
            ->filter(static fn(Person $person): bool => $person->enabled)
            ->values();
    }
}
