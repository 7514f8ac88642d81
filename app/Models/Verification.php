<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\RtdVerification;
use Rheacid\SiteClock;
use Rheacid\Records\Kept;

/**
 * One check of a thermometer against a reference.
 *
 * @property-read Thermometer $thermometer
 * @property-read Person $person
 */
final class Verification extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
        'due_at' => 'datetime',
        'reading_c' => 'float',
        'error_c' => 'float',
        'expanded_u_c' => 'float',
        'correction_c' => 'float',
        'verified_low_c' => 'float',
        'verified_high_c' => 'float',
        'method' => VerificationMethod::class,
        'verdict' => VerificationVerdict::class,
        'reference_c' => 'float',
        'tolerance_c' => 'float',
        'spread_c' => 'float',
        'readings' => 'array',
        'findings' => 'array',
        'bath' => 'array',
        'as_left' => 'boolean',
        'ohm' => 'float',
        'insulation_megaohm' => 'float',
        'shift_c' => 'float',
        'earned_days' => 'integer',
        'interval_days' => 'integer',
    ];

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

    /** @return HasOne<VerificationOutcome, $this> */
    public function outcome(): HasOne
    {
        return $this->hasOne(VerificationOutcome::class);
    }

    /** @return BelongsTo<Thermometer, $this> */
    public function referenceThermometer(): BelongsTo
    {
        return $this->belongsTo(Thermometer::class, 'reference_thermometer_id');
    }

    /** @return BelongsTo<self, $this> the check that this one repeats in a fresh bath */
    public function confirms(): BelongsTo
    {
        return $this->belongsTo(self::class, 'confirms_id');
    }

    /** The true temperature for one that the thermometer shows: the correction is used where somebody chose it, never silently. */
    public function corrected(float $shownC): float
    {
        $outcome = $this->outcome;

        return $outcome?->outcome === Outcome::Correct ? (float) $outcome->gain * $shownC + (float) $outcome->offset_c : $shownC + $this->correction_c;
    }

    /** A damp or damaged probe: whatever it reads proves nothing. */
    public function isDamp(): bool
    {
        return $this->insulation_megaohm !== null && $this->insulation_megaohm < RtdVerification::GOOD_INSULATION_MEGAOHM;
    }

    /** Used with a correction, it counts as what it shows after it. */
    public function isFailed(): bool
    {
        return $this->isDamp() || ($this->verdict === VerificationVerdict::Outside && $this->outcome?->outcome !== Outcome::Correct);
    }

    public function covers(float $celsius): bool
    {
        return $celsius >= $this->verified_low_c && $celsius <= $this->verified_high_c;
    }

    /** A usable correction that a fresh bath has shown again. Common practice, no source. */
    public function isConfirmed(): bool
    {
        $first = $this->confirms;

        return $first !== null && $this->hasUsableCorrection() && $first->hasUsableCorrection()
            && abs($this->error_c - $first->error_c) <= hypot($this->expanded_u_c, $first->expanded_u_c);
    }

    public function hasUsableCorrection(): bool
    {
        return $this->method !== VerificationMethod::Rtd && abs($this->error_c) > $this->expanded_u_c && ($this->findings ?? []) === [];
    }

    /** @return list<VerificationFinding> */
    public function found(): array
    {
        return array_values(array_filter(array_map(static fn(mixed $code): ?VerificationFinding => VerificationFinding::tryFrom((string) $code), $this->findings ?? [])));
    }

    /** @return array{on: string, error: float, tolerance: float} */
    public function toCore(): array
    {
        return ['on' => SiteClock::local($this->at)->toDateString(), 'error' => $this->error_c, 'tolerance' => $this->tolerance_c ?? 1.0];
    }
}
