<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Collection;
use Rheacid\Core\Electrode\AsFound;
use Rheacid\Core\Electrode\CalibrationPoint as CorePoint;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Stability;

/**
 * One buffer as the electrode saw it, fitted or read back.
 *
 * @property-read Lot $lot
 * @property-read Person $person
 * @property-read CalibrationRun $run
 */
final class CalibrationPoint extends Model
{
    use Sealed;

    protected $with = ['lot'];

    protected $casts = [
        'station' => 'integer',
        'buffer_ph' => 'float',
        'mv' => 'float',
        'shown_ph' => 'float',
        'celsius' => 'float',
        'response_time_s' => 'float',
        'waited_s' => 'float',
        'shown_slope_percent' => 'float',
        'shown_offset_mv' => 'float',
        'kind' => PointKind::class,
        'settled' => 'boolean',
        'moved_ph' => 'float',
        'against_recognition' => 'boolean',
        'as_found_ph' => 'float',
        'at' => 'datetime',
        'source' => Source::class,
        'twin_ph' => 'float',
        'shown_c' => 'float',
        'stability' => Stability::class,
    ];

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Trace, $this> */
    public function trace(): BelongsTo
    {
        return $this->belongsTo(Trace::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Thermometer, $this> that read the buffer; none for the meter's own probe */
    public function thermometer(): BelongsTo
    {
        return $this->belongsTo(Thermometer::class);
    }

    /** @return BelongsTo<Verification, $this> the check that spoke for it */
    public function verification(): BelongsTo
    {
        return $this->belongsTo(Verification::class);
    }

    /** @return BelongsTo<CalibrationRun, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(CalibrationRun::class, 'calibration_run_id');
    }

    public function toCore(): CorePoint
    {
        return new CorePoint(
            $this->buffer_ph,
            $this->signal()->idealMv($this->celsius),
            $this->celsius,
            $this->response_time_s,
            $this->settled,
            $this->settled ? null : $this->moved_ph,
        );
    }

    /**
     * @param Collection<int, self> $points
     *
     * @return list<CorePoint> those that were fitted, or those that were only read back
     */
    public static function ofKind(Collection $points, bool $fitted): array
    {
        return array_values(
            $points
                ->filter(static fn(self $point): bool => $point->isFitted() === $fitted)
                ->map(static fn(self $point): CorePoint => $point->toCore())
                ->all(),
        );
    }

    public function isFitted(): bool
    {
        return $this->kind === PointKind::Fit;
    }

    /**
     * @param Collection<int, self> $points of a run
     *
     * @return float|null pH by which the calibration before was off, where that is more than allowed
     */
    public static function foundOff(Collection $points, Policy $policy): ?float
    {
        return AsFound::off(
            array_values($points->map(static fn(self $point): ?float => $point->asFoundError())->all()),
            $policy->read_back_limit_ph,
        );
    }

    /** What the calibration before this run made of the buffer, minus the buffer's pH. */
    public function asFoundError(): ?float
    {
        return $this->as_found_ph === null ? null : $this->as_found_ph - $this->buffer_ph;
    }

    /** Every answer that was given to go against a question, haste first. */
    public function reasons(): string
    {
        return implode(
            '; ',
            array_filter(
                [$this->reason, $this->cup_reason, $this->temperature_reason, $this->gap_reason],
                static fn(?string $reason): bool => $reason !== null,
            ),
        );
    }

    /** As the meter showed it. */
    public function shown(): string
    {
        return $this->mv === null ? 'pH ' . Numbers::fixed((float) $this->shown_ph, 2) : Numbers::fixed($this->mv, 1) . ' mV';
    }

    public function signal(): Signal
    {
        return Signal::kept($this->mv, $this->shown_ph);
    }
}
