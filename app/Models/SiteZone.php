<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * By which zone the site's clock goes, from then on.
 *
 * @property-read Person $person
 */
final class SiteZone extends Model
{
    use Sealed;

    protected $casts = ['in_force_from' => 'datetime', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
