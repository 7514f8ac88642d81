<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Uncertainty\SiteRepeatability;
use Rheacid\Records\Kept;

/**
 * Two readings of one sample under two codes, with what all such pairs say so far.
 *
 * @property-read Measurement $first
 * @property-read Person $person
 */
final class BlindPair extends Model
{
    use Kept;

    protected $casts = ['difference_ph' => 'float', 'pairs' => 'integer', 'sum_of_squares' => 'float', 'at' => 'datetime'];

    /** @return BelongsTo<Measurement, $this> */
    public function first(): BelongsTo
    {
        return $this->belongsTo(Measurement::class, 'first_id');
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
