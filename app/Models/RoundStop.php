<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Limits\Stage;
use Rheacid\Records\Kept;

/**
 * A vat of a round, or a second cup of one of them under a code of its own.
 *
 * @property-read Round $round
 * @property-read Batch $batch
 * @property-read RoundVisit|null $visit
 * @property-read RoundStop|null $original
 * @property-read RoundStop|null $duplicate
 */
final class RoundStop extends Model
{
    use Kept;

    protected $casts = ['position' => 'integer', 'stage' => Stage::class];

    /** @return BelongsTo<Round, $this> */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return HasOne<RoundVisit, $this> */
    public function visit(): HasOne
    {
        return $this->hasOne(RoundVisit::class);
    }

    /** @return BelongsTo<RoundStop, $this> of which it is the second cup */
    public function original(): BelongsTo
    {
        return $this->belongsTo(self::class, 'duplicate_of');
    }

    /** @return HasOne<RoundStop, $this> its second cup, where one is drawn */
    public function duplicate(): HasOne
    {
        return $this->hasOne(self::class, 'duplicate_of');
    }
}
