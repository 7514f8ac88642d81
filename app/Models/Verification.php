<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Measuring\ThermometerFacts;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\VerificationFacts;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Site\SiteClock;

/**
 * One check of a thermometer against a reference.
 *
 * @property-read Thermometer $thermometer
 * @property-read Person $person
 */
final class Verification extends Model
{
    use Sealed;

    protected $casts = [
        'rests_on' => Stated::class,
        'interval_why' => Stated::class,
        'at' => 'datetime',
        'due_at' => 'datetime',
        'reading_c' => 'float',
        'error_c' => 'float',
        'expanded_u_c' => 'float',
        'verified_low_c' => 'float',
        'verified_high_c' => 'float',
        'method' => VerificationMethod::class,
        'source' => Source::class,
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

        return $outcome?->outcome === Outcome::Correct ? (float) $outcome->gain * $shownC + (float) $outcome->offset_c : $shownC;
    }

    /** What it says of the thermometer at that moment. */
    public function facts(CarbonInterface $at): ThermometerFacts
    {
        return new ThermometerFacts(
            $this->expanded_u_c,
            $this->toCore()->isFailed(),
            $this->due_at < $at,
            $this->verified_low_c,
            $this->verified_high_c,
            $this->isBathTold(),
        );
    }

    public function covers(float $celsius): bool
    {
        return $celsius >= $this->verified_low_c && $celsius <= $this->verified_high_c;
    }

    public function isConfirmed(): bool
    {
        return $this->confirms !== null && $this->confirms->toCore()->isConfirmedBy($this->toCore());
    }

    /** Only a bath of the same day can repeat it. */
    public function isToday(): bool
    {
        return SiteClock::local($this->at)->isSameDay(SiteClock::local(CarbonImmutable::now()));
    }

    /** Whether anything was ticked of how the ice was made. */
    public function isBathTold(): bool
    {
        return $this->method !== VerificationMethod::Ice || ($this->bath ?? []) !== [];
    }

    /** @return list<VerificationFinding> */
    public function found(): array
    {
        $kept = array_values(
            array_filter(
                array_map(
                    static fn(mixed $code): ?VerificationFinding => is_string($code) ? VerificationFinding::tryFrom($code) : null,
                    $this->findings,
                ),
            ),
        );

        // Rows of earlier versions do not say it themselves.
        return $this->isBathTold() || in_array(VerificationFinding::BathUntold, $kept, true)
            ? $kept
            : [VerificationFinding::BathUntold, ...$kept];
    }

    public function toCore(): VerificationFacts
    {
        return new VerificationFacts(
            $this->method,
            $this->verdict,
            $this->error_c,
            $this->expanded_u_c,
            $this->reference_c,
            $this->found(),
            $this->insulation_megaohm,
            $this->outcome?->outcome,
            $this->isBathTold(),
        );
    }

    /** As the interval counts it. */
    public function forInterval(): PastCheck
    {
        return new PastCheck(
            SiteClock::local($this->at)->toDateString(),
            $this->error_c,
            $this->tolerance_c,
            $this->verdict !== VerificationVerdict::Inconclusive,
        );
    }
}
