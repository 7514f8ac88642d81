<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A step that a batch took: pitched, packed, acidified … Limits count their hours from it.
 *
 * @property-read Person $person
 */
final class BatchStep extends Model
{
    use Sealed;

    protected $casts = [
        'at' => 'datetime',
        'entered_at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
