<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Urgency\DeadlineWarning;

/**
 * That a deadline was warned of, once for each reason.
 *
 * @property-read Batch $batch
 */
final class Warning extends Model
{
    use Sealed;

    protected $casts = ['words' => Stated::class, 'warning' => DeadlineWarning::class, 'due_at' => 'datetime', 'at' => 'datetime'];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }
}
