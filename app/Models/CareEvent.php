<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Records\Kept;

/**
 * What was done to an electrode: soaked, taken out of use, taken back.
 *
 * @property-read Person $person
 */
final class CareEvent extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
        'until_at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
