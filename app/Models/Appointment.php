<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Access\Role;

/**
 * From then on a person has this role, or is disabled.
 *
 * @property-read Person $person
 * @property-read Person $appointedBy
 */
final class Appointment extends Model
{
    use Sealed;

    protected $casts = [
        'role' => Role::class,
        'enabled' => 'boolean',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function appointedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'appointed_by_id');
    }
}
