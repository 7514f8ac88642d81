<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That the machine's clock had run ahead, as a lead has stated: what lies between then and the true time carries times that never were.
 *
 * @property-read Person $person
 */
final class TrueTime extends Model
{
    use Sealed;

    protected $casts = ['ahead_until' => 'datetime', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
