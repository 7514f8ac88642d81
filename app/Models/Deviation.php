<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Limits\LimitKind;

/**
 * A limit of a batch that was not met, with what was seen.
 *
 * @property-read Batch $batch
 * @property-read Person $person
 * @property-read Disposition|null $disposition
 */
final class Deviation extends Model
{
    use Sealed;

    protected $casts = [
        'what' => Stated::class,
        'at' => 'datetime',
        'is_missed_in_time' => 'boolean',
        'is_after_release' => 'boolean',
        'kind' => LimitKind::class,
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

    /** @return HasMany<CorrectiveAction, $this> */
    public function actions(): HasMany
    {
        return $this->hasMany(CorrectiveAction::class)->orderBy('id');
    }

    /** @return HasOne<Disposition, $this> */
    public function disposition(): HasOne
    {
        return $this->hasOne(Disposition::class)->latestOfMany();
    }
}
