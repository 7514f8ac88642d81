<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That a batch came out of another one: split off from it, or blended with others.
 *
 * @property-read Batch $parent
 * @property-read Person $person
 */
final class BatchParent extends Model
{
    use Sealed;

    protected $casts = [
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Batch, $this> */
    public function parent(): BelongsTo
    {
        return $this->belongsTo(Batch::class, 'parent_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
