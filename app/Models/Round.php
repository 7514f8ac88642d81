<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Records\Kept;

/**
 * A walk from vat to vat with one pair and one thermometer.
 *
 * @property-read Pair $pair
 * @property-read Thermometer $thermometer
 * @property-read Person $person
 */
final class Round extends Model
{
    use Kept;

    protected $casts = ['is_still' => 'boolean', 'chilled' => 'boolean', 'drawn_at' => 'datetime', 'at' => 'datetime'];

    /** @return BelongsTo<Pair, $this> */
    public function pair(): BelongsTo
    {
        return $this->belongsTo(Pair::class);
    }

    /** @return BelongsTo<Thermometer, $this> */
    public function thermometer(): BelongsTo
    {
        return $this->belongsTo(Thermometer::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<RoundStop, $this> */
    public function stops(): HasMany
    {
        return $this->hasMany(RoundStop::class)->orderBy('position');
    }
}
