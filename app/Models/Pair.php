<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\Relations\HasOneThrough;
use Rheacid\Core\Care\CareKind;

/**
 * A meter with an electrode: what is calibrated and what measures.
 *
 * @property-read Meter $meter
 * @property-read Electrode $electrode
 * @property-read Policy $policy
 */
final class Pair extends Model
{
    use Sealed;

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

    /** @return HasOneThrough<Policy, PolicyAssignment, $this> the one assigned last */
    public function policy(): HasOneThrough
    {
        return $this->hasOneThrough(Policy::class, PolicyAssignment::class, 'pair_id', 'id', 'id', 'policy_id')->orderByDesc(
            'policy_assignments.id',
        );
    }

    /** @return HasOne<Parting, $this> */
    public function parting(): HasOne
    {
        return $this->hasOne(Parting::class);
    }

    /** @return HasOne<CellCalibration, $this> */
    public function newestCell(): HasOne
    {
        return $this->hasOne(CellCalibration::class)->latestOfMany();
    }

    /**
     * Pairs that belong together now.
     *
     * @param Builder<self> $query
     */
    public function scopeTogether(Builder $query): void
    {
        $query
            ->whereDoesntHave('parting')
            ->whereHas(
                'electrode',
                static fn(Builder $electrode) => $electrode->whereDoesntHave(
                    'careEvents',
                    static fn(Builder $care) => $care->where('kind', CareKind::Retired),
                ),
            );
    }

    /**
     * Pairs whose newest policy is of that code.
     *
     * @param Builder<self> $query
     */
    public function scopeFollowing(Builder $query, string $code): void
    {
        $newest = PolicyAssignment::query()
            ->select('policies.code')
            ->join('policies', 'policies.id', '=', 'policy_assignments.policy_id')
            ->whereColumn('pair_id', 'pairs.id')
            ->orderByDesc('policy_assignments.id')
            ->limit(1);
        $query->where(static fn(Builder $pairs) => $pairs->whereRaw('(' . $newest->toSql() . ') = ?', [...$newest->getBindings(), $code]));
    }

    /** @param Builder<self> $query */
    public function scopeMeasuring(Builder $query, Measures ...$what): void
    {
        $query->whereHas('electrode', static fn(Builder $electrode) => $electrode->whereIn('measures', $what));
    }

    /** @return HasMany<Calibration, $this> */
    public function calibrations(): HasMany
    {
        return $this->hasMany(Calibration::class)->orderBy('at');
    }

    /** @return HasOne<Calibration, $this> records are added in the order of time, so the newest is the one added last */
    public function newestCalibration(): HasOne
    {
        return $this->hasOne(Calibration::class)->latestOfMany();
    }

    /** @return HasOne<CalibrationRun, $this> */
    public function openRun(): HasOne
    {
        return $this->hasOne(CalibrationRun::class, 'open_pair_id');
    }

    /** @return HasOne<MeasurementDraft, $this> */
    public function openDraft(): HasOne
    {
        return $this->hasOne(MeasurementDraft::class, 'open_pair_id');
    }

    public function name(): string
    {
        return $this->meter->name . ($this->channel === null ? '' : ', ' . $this->channel);
    }
}
