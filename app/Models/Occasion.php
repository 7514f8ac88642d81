<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Limits\Stage;

/**
 * What is drawn from a batch together: brine and solids, three places, duplicates. It is judged as one.
 *
 * @property-read Batch $batch
 * @property-read Person $person
 * @property-read OccasionEnd|null $end
 */
final class Occasion extends Model
{
    use Sealed;

    protected $casts = [
        'stage' => Stage::class,
        'drawn_at' => 'datetime',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<Measurement, $this> those that stand */
    public function measurements(): HasMany
    {
        return $this->hasMany(Measurement::class)->whereDoesntHave('successor')->orderBy('id');
    }

    /** @return HasOne<OccasionEnd, $this> that no more of its places will be read */
    public function end(): HasOne
    {
        return $this->hasOne(OccasionEnd::class);
    }

    /** @return HasOne<Decision, $this> the one that stands */
    public function decision(): HasOne
    {
        return $this->hasOne(Decision::class)->latestOfMany();
    }
}
