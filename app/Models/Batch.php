<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\SiteClock;
use Rheacid\Records\Kept;

/**
 * Something that is being made.
 *
 * @property-read Product $product
 */
final class Batch extends Model
{
    use Kept;

    protected $casts = [
        'started_at' => 'datetime',
    ];

    /** @return BelongsTo<Product, $this> */
    public function product(): BelongsTo
    {
        return $this->belongsTo(Product::class);
    }

    /** @return HasMany<BatchEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(BatchEvent::class)->orderBy('id');
    }

    /** @return HasOne<BatchEvent, $this> */
    public function newestEvent(): HasOne
    {
        return $this->hasOne(BatchEvent::class)->latestOfMany();
    }

    /** @return HasMany<Sample, $this> */
    public function samples(): HasMany
    {
        return $this->hasMany(Sample::class)->orderBy('drawn_at');
    }

    public function state(): string
    {
        return $this->newestEvent->state ?? 'planned';
    }

    /** @return HasManyThrough<Measurement, Sample, $this> readings that stand, in the order in which their samples were drawn */
    public function currentMeasurements(): HasManyThrough
    {
        return $this->hasManyThrough(Measurement::class, Sample::class)->whereDoesntHave('successor')->orderBy('samples.drawn_at');
    }

    public function wasReadToday(): bool
    {
        $last = $this->currentMeasurements->last();

        return $last !== null && SiteClock::local($last->observed_at)->isSameDay(SiteClock::local(CarbonImmutable::now()));
    }
}
