<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Batches\BatchState;

/**
 * A change in the state of a batch.
 *
 * @property-read Person $person
 */
final class BatchEvent extends Model
{
    use Sealed;

    protected $casts = [
        'reason' => Stated::class,
        'state' => BatchState::class,
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
