<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that happened to a run: opened, taken over, left, abandoned, completed.
 *
 * @property-read Person $person
 */
final class RunEvent extends Model
{
    use Sealed;

    /** Kinds by which a run ends without a calibration. */
    public const ENDED_EARLY = ['left', 'abandoned'];

    protected $casts = [
        'reason' => Stated::class,
        'at' => 'datetime',
    ];

    /** @return BelongsTo<CalibrationRun, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(CalibrationRun::class, 'calibration_run_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
