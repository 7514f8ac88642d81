<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Solutions\BufferOrder;

/**
 * A calibration in hand. What happened to it is kept in its events and points; this row only says where it stands.
 *
 * @property-read Pair $pair
 * @property-read Policy $policy
 * @property-read Person $holder
 */
final class CalibrationRun extends Model
{
    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $guarded = [];

    protected $casts = [
        'stations' => 'array',
        'fit' => FitMethod::class,
        'buffer_order' => BufferOrder::class,
        'opened_at' => 'datetime',
        'touched_at' => 'datetime',
        'source' => Source::class,
        'state' => RunState::class,
    ];

    /** @return BelongsTo<Pair, $this> */
    public function pair(): BelongsTo
    {
        return $this->belongsTo(Pair::class);
    }

    /** @return BelongsTo<Policy, $this> */
    public function policy(): BelongsTo
    {
        return $this->belongsTo(Policy::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function holder(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'holder_id');
    }

    /** @return HasMany<CalibrationPoint, $this> */
    public function points(): HasMany
    {
        return $this->hasMany(CalibrationPoint::class)->orderBy('station');
    }

    /** @return HasMany<RunEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(RunEvent::class)->orderBy('id');
    }

    /** @return HasOne<Calibration, $this> */
    public function calibration(): HasOne
    {
        return $this->hasOne(Calibration::class);
    }

    /** @return list<array{kind: string, lot_id: int}> */
    public function plan(): array
    {
        /** @var list<array{kind: string, lot_id: int}> $stations as OpenRun writes them */
        $stations = $this->stations;

        return $stations;
    }

    /** @return BelongsTo<Thermometer, $this> that reads the buffers; none for the meter's own probe */
    public function thermometer(): BelongsTo
    {
        return $this->belongsTo(Thermometer::class);
    }

    /** Left before its second point: what the first says of the electrode is over. */
    public function isStale(): bool
    {
        return $this->state === RunState::Open && $this->points->count() < 2 && RunDoubts::isApart($this->secondsLeft());
    }

    /** Seconds since anybody did anything with it. */
    public function secondsLeft(): float
    {
        return $this->touched_at->diffInMilliseconds(CarbonImmutable::now()) / 1000;
    }

    /** The station that is next; null when every one has its point. */
    public function station(): ?int
    {
        $next = $this->points->count();

        return $next < count($this->plan()) ? $next : null;
    }
}
