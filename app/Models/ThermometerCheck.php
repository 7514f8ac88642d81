<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Records\Kept;

/**
 * One check of a thermometer against a reference.
 *
 * @property-read Thermometer $thermometer
 * @property-read Person $person
 */
final class ThermometerCheck extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
        'due_at' => 'datetime',
        'reading_c' => 'float',
        'error_c' => 'float',
        'expanded_u_c' => 'float',
        'correction_c' => 'float',
        'covers_low_c' => 'float',
        'covers_high_c' => 'float',
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
}
