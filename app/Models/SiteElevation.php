<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Records\Kept;

/**
 * How high the site lies, from then on.
 *
 * @property-read Person $person
 */
final class SiteElevation extends Model
{
    use Kept;

    protected $casts = [
        'elevation_m' => 'float',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public static function current(): ?float
    {
        return self::query()->orderByDesc('id')->first()?->elevation_m;
    }
}
