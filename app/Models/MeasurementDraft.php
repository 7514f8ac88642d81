<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Settling;

/**
 * A measurement in hand. Its replicates are kept as they are accepted; the reading follows when it is recorded.
 *
 * @property-read Sample $sample
 * @property-read Pair $pair
 * @property-read Calibration $calibration
 * @property-read Verification $verification
 * @property-read Method $method
 * @property-read Person $holder
 * @property-read RoundStop|null $stop
 */
final class MeasurementDraft extends Model
{
    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $guarded = [];

    protected $casts = [
        'dilution_parts' => 'float',
        'opened_at' => 'datetime',
        'source' => Source::class,
        'pours' => 'integer',
        'diluted' => 'boolean',
    ];

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
    public function holder(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'holder_id');
    }

    /** @return BelongsTo<RoundStop, $this> of the round on which it is read */
    public function stop(): BelongsTo
    {
        return $this->belongsTo(RoundStop::class, 'round_stop_id');
    }

    /** @return HasMany<Replicate, $this> */
    public function replicates(): HasMany
    {
        return $this->hasMany(Replicate::class, 'series', 'series')->orderBy('position');
    }

    /** @return HasOne<Measurement, $this> */
    public function reading(): HasOne
    {
        return $this->hasOne(Measurement::class, 'series', 'series');
    }

    /** For how long its readings have to stand still, in s. */
    public function windowS(): float
    {
        return Settling::windowS($this->method->settle_window_s, $this->sample->occasion->batch->product->isBound());
    }

    public function isOpen(): bool
    {
        return $this->open_pair_id !== null;
    }
}
