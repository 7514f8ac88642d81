<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationFunction;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Electrode\ShownScale;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Settling\Stability;

/**
 * The outcome of a completed run, written once.
 *
 * @property-read CalibrationRun $run
 * @property-read Pair $pair
 * @property-read Policy $policy
 * @property-read Person $person
 */
final class Calibration extends Model
{
    use Sealed;

    protected $casts = [
        'findings' => 'array',
        'verdict' => Verdict::class,
        'fit' => FitMethod::class,
        'slope_percent' => 'float',
        'alkaline_slope_percent' => 'float',
        'offset_mv' => 'float',
        'response_time_s' => 'float',
        'diagnosis' => Diagnosis::class,
        'zero_point_ph' => 'float',
        'bracket_low_ph' => 'float',
        'bracket_high_ph' => 'float',
        'read_back_error_ph' => 'float',
        'at' => 'datetime',
        'due_at' => 'datetime',
    ];

    /** @return BelongsTo<CalibrationRun, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(CalibrationRun::class, 'calibration_run_id');
    }

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
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<CalibrationPoint, $this> */
    public function points(): HasMany
    {
        return $this->hasMany(CalibrationPoint::class, 'calibration_run_id', 'calibration_run_id')->orderBy('station');
    }

    /** @return HasOne<CalibrationVoid, $this> */
    public function void(): HasOne
    {
        return $this->hasOne(CalibrationVoid::class);
    }

    /** What turns the pair's signal into pH: laid again through the kept points, or the meter's own scale. */
    public function calibrationFunction(): CalibrationFunction
    {
        if ($this->fit !== null) {
            return CalibrationFit::through(CalibrationPoint::ofKind($this->points, fitted: true), $this->fit);
        }
        $fitted = $this->points->filter(static fn(CalibrationPoint $point): bool => $point->isFitted());
        $buffers = array_values($fitted->map(static fn(CalibrationPoint $point): float => $point->buffer_ph)->all());
        assert($buffers !== []);

        return ShownScale::onBuffers($buffers, (float) $fitted->avg('celsius'), (float) $this->read_back_error_ph);
    }

    /** Our own fit; null where the meter calibrated itself. */
    public function fitted(): ?CalibrationFit
    {
        $response = $this->calibrationFunction();

        return $response instanceof CalibrationFit ? $response : null;
    }

    /** That a buffer stood still is only said, and the policy asks for more. */
    public function restsOnSaid(): bool
    {
        return $this->policy->said_proves !== true
            && $this->points->contains(
                static fn(CalibrationPoint $point): bool => $point->isFitted() && $point->stability === Stability::Said,
            );
    }

    public function isUncertain(): bool
    {
        return JudgedCalibration::isUncertain(
            $this->found(),
            $this->diagnosis,
            $this->points->contains(static fn(CalibrationPoint $point): bool => $point->against_recognition),
        );
    }

    /** Percent; null where one buffer measured none, or the meter keeps it to itself. Rows of earlier versions hold 100 for one buffer. */
    public function measuredSlope(): ?float
    {
        return $this->bracket_low_ph < $this->bracket_high_ph ? $this->slope_percent : null;
    }

    /**
     * @param Builder<self> $query
     *
     * @return Builder<self> those that measured a slope
     */
    public static function withSlope(Builder $query): Builder
    {
        return $query->whereNotNull('slope_percent')->whereColumn('bracket_low_ph', '<', 'bracket_high_ph');
    }

    /** Everyone who had the run in hand, in the order in which they came to it. */
    public function people(): string
    {
        return $this->run->events
            ->pluck('person.name')
            ->merge($this->points->pluck('person.name'))
            ->push($this->person->name)
            ->unique()
            ->implode(', ');
    }

    /** Whether every point came from where numbers are evidence; asked of the points, which are sealed, and not of the run. */
    public function isEvidence(): bool
    {
        return $this->points->every(static fn(CalibrationPoint $point): bool => in_array($point->source, Site::evidence(), true));
    }

    /** A second fault beside the one diagnosed. */
    public function alsoDiagnosed(): ?Diagnosis
    {
        return Diagnosis::beside($this->diagnosis, $this->offset_mv, $this->policy->criteria());
    }

    /** @return list<Finding> as they were found on the day */
    public function found(): array
    {
        $found = [];
        foreach ($this->findings as $kept) {
            $found[] = new Finding(
                FindingCode::from((string) $kept['code']),
                Severity::from((string) $kept['severity']),
                $kept['seen'],
                $kept['needed'],
            );
        }

        return $found;
    }
}
