<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Sampling\Cup;

/**
 * A vat of a round, or a second cup of one of them. Of a coded round every cup has a code and "position" is the order of reading;
 * otherwise only a second cup has one.
 *
 * @property-read Round $round
 * @property-read Batch $batch
 * @property-read RoundVisit|null $visit
 * @property-read RoundStop|null $original
 * @property-read RoundStop|null $duplicate
 */
final class RoundStop extends Model
{
    use Sealed;

    protected $casts = ['position' => 'integer', 'draw_position' => 'integer', 'stage' => Stage::class];

    /** Which cup its sample is; null for the first or only one of its vat. */
    public function cup(): ?Cup
    {
        return match (true) {
            $this->cup_code === null => $this->duplicate_of === null ? null : Cup::Repeat,
            default => $this->duplicate_of === null ? Cup::Coded : Cup::Duplicate,
        };
    }

    /** What stands on the cup; null where nothing does. */
    public function code(): ?string
    {
        return match ($this->cup()) {
            null => null,
            Cup::Repeat => (string) $this->second_code,
            default => (string) $this->cup_code,
        };
    }

    /** As the person who reads it may know it: by the code alone where codes hide the vat. */
    public function label(): string
    {
        return match ($this->cup()) {
            null => "{$this->batch->vessel}, $this->place",
            Cup::Repeat => "{$this->batch->vessel}, repeat {$this->second_code}",
            default => "cup {$this->cup_code}",
        };
    }

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
