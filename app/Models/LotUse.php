<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One use of a bottle: a run takes one at its first immersion, abandoned or not; the calibration of a cell takes one.
 *
 * @property-read CalibrationRun|null $run
 */
final class LotUse extends Model
{
    use Sealed;

    protected $casts = [
        'at' => 'datetime',
    ];

    /** @return BelongsTo<CalibrationRun, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(CalibrationRun::class, 'calibration_run_id');
    }

    /** @return BelongsTo<CellCalibration, $this> */
    public function cell(): BelongsTo
    {
        return $this->belongsTo(CellCalibration::class, 'cell_calibration_id');
    }
}
