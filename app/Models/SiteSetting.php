<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How the site calls itself, writes its numbers and lets its leads in, from then on.
 *
 * @property-read Person $person
 */
final class SiteSetting extends Model
{
    use Sealed;

    protected $casts = [
        'fahrenheit_first' => 'boolean',
        'decimal_comma' => 'boolean',
        'leads_need_code' => 'boolean',
        'four_eyes' => 'boolean',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
