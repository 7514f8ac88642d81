<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Core\Solutions\Water;

/**
 * Something that was done to a bottle: opened, made up, dipped, discarded.
 *
 * @property-read Person $person
 */
final class LotEvent extends Model
{
    use Sealed;

    protected $casts = [
        'kind' => BottleEvent::class,
        'water' => Water::class,
        'at' => 'datetime',
        'volume_ml' => 'float',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }
}
