<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;

/**
 * A sample measured: of what quantity, on what basis, by which method, and what it rests on.
 *
 * @property-read Occasion $occasion
 * @property-read Sample $sample
 * @property-read Pair|null $pair
 * @property-read Calibration|null $calibration
 * @property-read Verification|null $verification
 * @property-read Titration|null $titration
 * @property-read ExternalValue|null $elsewhere
 * @property-read Method $method
 * @property-read Person $person
 */
final class Measurement extends Model
{
    use Sealed;

    protected $casts = [
        'measurand' => Measurand::class,
        'observed_at' => 'datetime',
        'entered_at' => 'datetime',
    ];

    /** @return BelongsTo<Occasion, $this> */
    public function occasion(): BelongsTo
    {
        return $this->belongsTo(Occasion::class);
    }

    /** @return BelongsTo<Sample, $this> */
    public function sample(): BelongsTo
    {
        return $this->belongsTo(Sample::class);
    }

    /** @return BelongsTo<Pair, $this> */
    public function pair(): BelongsTo
    {
        return $this->belongsTo(Pair::class);
    }

    /** @return BelongsTo<Calibration, $this> */
    public function calibration(): BelongsTo
    {
        return $this->belongsTo(Calibration::class);
    }

    /** @return BelongsTo<Verification, $this> */
    public function verification(): BelongsTo
    {
        return $this->belongsTo(Verification::class);
    }

    /** @return BelongsTo<Method, $this> */
    public function method(): BelongsTo
    {
        return $this->belongsTo(Method::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Measurement, $this> */
    public function superseded(): BelongsTo
    {
        return $this->belongsTo(self::class, 'supersedes_id');
    }

    /** @return HasOne<Measurement, $this> */
    public function successor(): HasOne
    {
        return $this->hasOne(self::class, 'supersedes_id');
    }

    /** @return HasMany<Replicate, $this> */
    public function replicates(): HasMany
    {
        return $this->hasMany(Replicate::class, 'series', 'series')->orderBy('position');
    }

    /** @return HasOne<Titration, $this> */
    public function titration(): HasOne
    {
        return $this->hasOne(Titration::class);
    }

    /** @return HasOne<ExternalValue, $this> who measured it, where it was not here */
    public function elsewhere(): HasOne
    {
        return $this->hasOne(ExternalValue::class);
    }

    public function quantity(): Basis
    {
        return $this->measurand->on((string) $this->basis);
    }

    /** The unit in which somebody said an acidity; null for another quantity. */
    public function acidityUnit(): ?AcidityUnit
    {
        return $this->titration?->unit() ?? ($this->elsewhere?->unit === null ? null : AcidityUnit::named($this->elsewhere->unit));
    }

    /** Measured after the last moment at which its calibration is still trusted. */
    public function isInDoubt(): bool
    {
        $void = $this->calibration?->void;

        return $void !== null && $this->observed_at > $void->back_to;
    }
}
