<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Thermometry\Barometer;

/**
 * How high the site lies and which pressure its barometer gives, from then on.
 *
 * @property-read Person $person
 */
final class SiteElevation extends Model
{
    use Sealed;

    protected $casts = [
        'elevation_m' => 'float',
        'barometer' => Barometer::class,
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public static function newest(): ?self
    {
        return self::query()->orderByDesc('id')->first();
    }

    /** In m; null where nobody has said. */
    public static function current(): ?float
    {
        return self::newest()?->elevation_m;
    }
}
