<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * By which of its product’s routes a batch is made safe; the newest counts.
 *
 * @property-read Person $person
 */
final class BatchRoute extends Model
{
    use Sealed;

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
