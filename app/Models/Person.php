<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Foundation\Auth\User;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Access\Role;

/**
 * Someone who works here, or the site itself, which does what nobody does by hand. What a person may do is the newest
 * appointment's to say.
 *
 * @property Role|null $role null for one without an appointment
 * @property bool $enabled
 */
final class Person extends User
{
    use Sealed;

    protected $casts = ['invented' => 'boolean', 'role' => Role::class, 'enabled' => 'boolean'];

    protected static function booted(): void
    {
        self::addGlobalScope('appointed', static function (Builder $query): void {
            // The columns of the table first: what is appointed comes beside them.
            $query->getQuery()->columns ?? $query->select('people.*');
            foreach (['role', 'enabled'] as $column) {
                $query->addSelect([
                    $column => Appointment::query()->select($column)->whereColumn('person_id', 'people.id')->orderByDesc('id')->limit(1),
                ]);
            }
        });
    }

    /** @return HasOne<Credential, $this> null for the site itself */
    public function credential(): HasOne
    {
        return $this->hasOne(Credential::class);
    }

    public function may(Right $right): bool
    {
        return $this->enabled && $this->role?->has($right) === true;
    }

    public function getAuthPassword(): string
    {
        return '';
    }

    public function getRememberTokenName(): string
    {
        return '';
    }
}
