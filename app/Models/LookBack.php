<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Due because an instrument was found off: what was read with it since has to be looked at again.
 *
 * @property-read Calibration|null $calibration
 * @property-read Verification|null $verification
 */
final class LookBack extends Model
{
    use Sealed;

    protected $casts = ['off_by' => 'float', 'since' => 'datetime', 'at' => 'datetime'];

    /** @return BelongsTo<Calibration, $this> */
    public function calibration(): BelongsTo
    {
        return $this->belongsTo(Calibration::class);
    }

    /** @return BelongsTo<Verification, $this> */
    public function verification(): BelongsTo
    {
        return $this->belongsTo(Verification::class);
    }
}
