<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A walk from vat to vat with one pair and one thermometer.
 *
 * @property-read Pair $pair
 * @property-read Thermometer $thermometer
 * @property-read Person $person
 * @property-read RoundDrawing|null $drawing
 */
final class Round extends Model
{
    use Sealed;

    protected $casts = [
        'is_still' => 'boolean',
        'is_coded' => 'boolean',
        'chilled' => 'boolean',
        'drawn_at' => 'datetime',
        'at' => 'datetime',
    ];

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

    /** @return HasOne<RoundDrawing, $this> that all its cups were drawn before any was read */
    public function drawing(): HasOne
    {
        return $this->hasOne(RoundDrawing::class);
    }

    /** When all its samples were drawn; null where each is drawn as its turn comes, or while they are still to be drawn. */
    public function drawnAt(): ?CarbonImmutable
    {
        $at = $this->drawing->drawn_at ?? $this->drawn_at;

        return $at === null ? null : CarbonImmutable::instance($at);
    }

    public function isChilled(): bool
    {
        return $this->drawing->chilled ?? (bool) $this->chilled;
    }

    /** Whether cups are still to be drawn before the first is read. */
    public function isToBeDrawn(): bool
    {
        return $this->is_coded === true && $this->drawing === null;
    }

    /** @return HasMany<RoundStop, $this> */
    public function stops(): HasMany
    {
        return $this->hasMany(RoundStop::class)->orderBy('position');
    }
}
