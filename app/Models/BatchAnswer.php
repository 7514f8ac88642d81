<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How a condition of a product’s limits was answered for a batch.
 *
 * @property-read Person $person
 */
final class BatchAnswer extends Model
{
    use Sealed;

    protected $casts = [
        'answer' => 'boolean',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
