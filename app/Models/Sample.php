<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Sampling\Cup;
use Rheacid\Core\Words\SamplingWords;

/**
 * A portion of a batch: when and where it was drawn.
 *
 * @property-read Cup|null $cup
 * @property-read Occasion $occasion
 * @property-read Person $person
 */
final class Sample extends Model
{
    use Sealed;

    protected $casts = [
        'drawn_at' => 'datetime',
        'chilled' => 'boolean',
        'cup' => Cup::class,
    ];

    /** "brine", or "brine, cup F47" where it carries a code. */
    public function named(): string
    {
        return $this->cup === null ? (string) $this->place : "$this->place, " . SamplingWords::cup($this->cup, (string) $this->cup_code);
    }

    /** @return BelongsTo<Occasion, $this> */
    public function occasion(): BelongsTo
    {
        return $this->belongsTo(Occasion::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
