<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Bench\Source;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Records\Kept;

/**
 * A conductivity cell or a redox electrode read in a standard of known value.
 *
 * @property-read Lot $lot
 * @property-read Pair $pair
 * @property-read Person $person
 */
final class CellCalibration extends Model
{
    use Kept;

    protected $casts = [
        'reading' => 'float',
        'celsius' => 'float',
        'standard_value' => 'float',
        'cell_factor' => 'float',
        'offset_mv' => 'float',
        'source' => Source::class,
        'settled' => 'boolean',
        'verdict' => Verdict::class,
        'measures' => Measures::class,
        'at' => 'datetime',
        'due_at' => 'datetime',
    ];

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
