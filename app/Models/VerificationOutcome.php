<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Thermometry\Outcome;

/**
 * What a person made of a check: used on, corrected, adjusted, replaced, out of use.
 *
 * @property-read Person $person
 */
final class VerificationOutcome extends Model
{
    use Sealed;

    protected $casts = [
        'outcome' => Outcome::class,
        'gain' => 'float',
        'offset_c' => 'float',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
