<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Logs\LogTable;

/**
 * A data logger's file as it was uploaded, waiting to be looked through.
 *
 * @property-read Pair $pair
 * @property-read MeasurementDraft|null $draft
 */
final class LogUpload extends Model
{
    use Sealed;

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Pair, $this> */
    public function pair(): BelongsTo
    {
        return $this->belongsTo(Pair::class);
    }

    /** @return BelongsTo<MeasurementDraft, $this> */
    public function draft(): BelongsTo
    {
        return $this->belongsTo(MeasurementDraft::class, 'measurement_draft_id');
    }

    public function table(): LogTable
    {
        return LogTable::read($this->content);
    }

    /** @return list<string> */
    public function largeColumns(): array
    {
        return ['content'];
    }
}
