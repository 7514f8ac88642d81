<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That a stop of a round was read, or passed over with a reason.
 *
 * @property-read RoundStop $stop
 * @property-read Measurement|null $measurement
 */
final class RoundVisit extends Model
{
    use Sealed;

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<RoundStop, $this> */
    public function stop(): BelongsTo
    {
        return $this->belongsTo(RoundStop::class, 'round_stop_id');
    }

    /** @return BelongsTo<Measurement, $this> */
    public function measurement(): BelongsTo
    {
        return $this->belongsTo(Measurement::class);
    }
}
