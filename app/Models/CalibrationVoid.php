<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A calibration that is no longer to be trusted, and why.
 *
 * @property-read Person $person
 */
final class CalibrationVoid extends Model
{
    use Sealed;

    protected $casts = [
        'at' => 'datetime',
        'back_to' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
