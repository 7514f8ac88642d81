<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Uncertainty\SiteRepeatability;

/**
 * Two readings of one sample, with what all pairs say so far of which nobody saw that they were one.
 *
 * @property-read Measurement $first
 * @property-read Measurement $second
 * @property-read Person $person
 */
final class BlindPair extends Model
{
    use Sealed;

    protected $casts = [
        'difference_ph' => 'float',
        'is_blind' => 'boolean',
        'pairs' => 'integer',
        'sum_of_squares' => 'float',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Measurement, $this> */
    public function first(): BelongsTo
    {
        return $this->belongsTo(Measurement::class, 'first_id');
    }

    /** @return BelongsTo<Measurement, $this> */
    public function second(): BelongsTo
    {
        return $this->belongsTo(Measurement::class, 'second_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** What the pairs up to a moment say. */
    public static function by(\DateTimeInterface $at): SiteRepeatability
    {
        $newest = self::query()->where('at', '<=', $at->format('Y-m-d H:i:s.v'))->orderByDesc('id')->first();

        return $newest === null ? SiteRepeatability::unknown() : new SiteRepeatability($newest->pairs, $newest->sum_of_squares);
    }
}
