<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Records\Kept;

/**
 * A meter with an electrode: what is calibrated and what measures.
 *
 * @property-read Meter $meter
 * @property-read Electrode $electrode
 * @property-read Policy $policy
 */
final class Pair extends Model
{
    use Kept;

    protected $casts = [
        'paired_at' => 'datetime',
    ];

    /** @return BelongsTo<Meter, $this> */
    public function meter(): BelongsTo
    {
        return $this->belongsTo(Meter::class);
    }

    /** @return BelongsTo<Electrode, $this> */
    public function electrode(): BelongsTo
    {
        return $this->belongsTo(Electrode::class);
    }

    /** @return BelongsTo<Policy, $this> */
    public function policy(): BelongsTo
    {
        return $this->belongsTo(Policy::class);
    }

    /** @return HasMany<Calibration, $this> */
    public function calibrations(): HasMany
    {
        return $this->hasMany(Calibration::class)->orderBy('at');
    }

    /** @return HasOne<Calibration, $this> */
    public function newestCalibration(): HasOne
    {
        return $this->hasOne(Calibration::class)->latestOfMany('at');
    }

    /** @return HasOne<CalibrationRun, $this> */
    public function openRun(): HasOne
    {
        return $this->hasOne(CalibrationRun::class, 'open_pair_id');
    }

    /** @return HasOne<ReadingDraft, $this> */
    public function openDraft(): HasOne
    {
        return $this->hasOne(ReadingDraft::class, 'open_pair_id');
    }

    public function name(): string
    {
        return $this->meter->name . ($this->channel === null ? '' : ', ' . $this->channel);
    }
}
