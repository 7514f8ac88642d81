<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Style;
use Rheacid\Core\Thermometry\Service;
use Rheacid\Core\Thermometry\Stress;
use Rheacid\Core\Thermometry\ToleranceClass;

/**
 * How a thermometer is used from then on: its place, tolerance, interval and certificate.
 *
 * @property-read Person $person
 */
final class ThermometerService extends Model
{
    use Sealed;

    protected $casts = [
        'tolerance_c' => 'float',
        'r0_ohm' => 'float',
        'use_low_c' => 'float',
        'use_high_c' => 'float',
        'immersion_mm' => 'integer',
        'interval_days' => 'integer',
        'cap_days' => 'integer',
        'stresses' => 'array',
        'each_batch' => 'boolean',
        'certificate_expanded_u_c' => 'float',
        'certificate_due_on' => 'date',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** What a thermometer is taken for until somebody says otherwise: food use, ±1 °C, monthly. Common practice, no source. */
    public static function usual(Thermometer $thermometer): self
    {
        return new self([
            'thermometer_id' => $thermometer->id,
            'tolerance_c' => 1.0,
            'r0_ohm' => $thermometer->kind->r0Ohm(),
            'unit' => Style::isFahrenheitFirst() ? 'F' : 'C',
            'use_low_c' => 0.0,
            'use_high_c' => 25.0,
            'immersion_mm' => $thermometer->kind->usualImmersionMm(),
            'interval_days' => $thermometer->kind->usualIntervalDays(),
            'stresses' => [],
            'each_batch' => false,
        ]);
    }

    public function toCore(): Service
    {
        return new Service(
            $this->interval_days,
            array_values(array_filter(array_map(static fn(mixed $stress): ?Stress => Stress::tryFrom((string) $stress), $this->stresses))),
            $this->cap_days,
            $this->each_batch,
        );
    }

    public function toleranceClass(): ?ToleranceClass
    {
        return $this->tolerance_standard === null || $this->tolerance_class === null
            ? null
            : ToleranceClass::named($this->tolerance_standard, $this->tolerance_class);
    }

    /** What it may be off at a temperature. */
    public function toleranceAt(float $celsius): float
    {
        return $this->toleranceClass()?->at($celsius) ?? $this->tolerance_c;
    }

    /** A reference with a certificate in date. */
    public function isReference(): bool
    {
        return $this->certificate_expanded_u_c !== null && $this->certificate_due_on !== null && $this->certificate_due_on->isFuture();
    }
}
