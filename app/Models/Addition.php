<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something added to a batch, planned or done.
 *
 * @property-read Person $person
 */
final class Addition extends Model
{
    use Sealed;

    public const PLANNED = 'planned';
    public const DONE = 'done';

    protected $casts = [
        'rests_on' => 'array',
        'amount' => 'float',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
