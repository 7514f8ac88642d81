<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Cells\StandardReading;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Measuring\Source;

/**
 * A conductivity cell or a redox electrode read in a standard of known value.
 *
 * @property-read Lot $lot
 * @property-read self|null $other
 * @property-read Pair $pair
 * @property-read Person $person
 */
final class CellCalibration extends Model
{
    use Sealed;

    protected $casts = [
        'reading' => 'float',
        'celsius' => 'float',
        'standard_value' => 'float',
        'cell_factor' => 'float',
        'offset_mv' => 'float',
        'offset_us' => 'float',
        'is_compensated' => 'boolean',
        'source' => Source::class,
        'settled' => 'boolean',
        'verdict' => Verdict::class,
        'measures' => Measures::class,
        'at' => 'datetime',
        'due_at' => 'datetime',
    ];

    /** @return BelongsTo<self, $this> the reading in the other standard, where a line was laid through two */
    public function other(): BelongsTo
    {
        return $this->belongsTo(self::class, 'with_id');
    }

    public function toCore(): StandardReading
    {
        return new StandardReading($this->standard_value, $this->reading, $this->celsius, $this->percentPerC());
    }

    /** By how much its readings are still to be compensated, in % per °C. */
    public function percentPerC(): float
    {
        return $this->is_compensated === true ? 0.0 : Conductivity::PERCENT_PER_C;
    }

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Pair, $this> */
    public function pair(): BelongsTo
    {
        return $this->belongsTo(Pair::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
