<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Stability;

/**
 * An independent buffer read on a calibration: at the start, within, or at the end of a session.
 *
 * @property-read Calibration $calibration
 * @property-read Lot $lot
 * @property-read Person $person
 */
final class ControlCheck extends Model
{
    use Sealed;

    protected $casts = [
        'mv' => 'float',
        'shown_ph' => 'float',
        'celsius' => 'float',
        'ph' => 'float',
        'buffer_ph' => 'float',
        'limit_ph' => 'float',
        'moment' => SessionMoment::class,
        'passed' => 'boolean',
        'settled' => 'boolean',
        'source' => Source::class,
        'at' => 'datetime',
        'shown_c' => 'float',
        'stability' => Stability::class,
    ];

    /** @return BelongsTo<Calibration, $this> */
    public function calibration(): BelongsTo
    {
        return $this->belongsTo(Calibration::class);
    }

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Thermometer, $this> that read its temperature in the cup; none for the meter's own probe */
    public function thermometer(): BelongsTo
    {
        return $this->belongsTo(Thermometer::class);
    }

    /** @return BelongsTo<Verification, $this> the check that spoke for it */
    public function verification(): BelongsTo
    {
        return $this->belongsTo(Verification::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public function error(): float
    {
        return $this->ph - $this->buffer_ph;
    }
}
