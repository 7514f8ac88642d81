<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Records\Kept;

/** A bottle of solution. */
final class Lot extends Model
{
    use Kept;

    protected $casts = [
        'nominal_ph' => 'float',
        'opened_on' => 'date',
        'expires_on' => 'date',
        'days_after_opening' => 'integer',
        'uses_allowed' => 'integer',
        'expanded_u_ph' => 'float',
        'printed_table' => 'array',
    ];

    /** @return HasMany<LotUse, $this> */
    public function uses(): HasMany
    {
        return $this->hasMany(LotUse::class);
    }

    public function isBuffer(): bool
    {
        return $this->kind === 'buffer';
    }

    /** The sooner of the printed date and the shelf life after opening. */
    public function usableUntil(): CarbonInterface
    {
        $opened = $this->opened_on?->addDays($this->days_after_opening);

        return $opened !== null && $opened->lessThan($this->expires_on) ? $opened : $this->expires_on;
    }

    public function usesLeft(): int
    {
        return max(0, $this->uses_allowed - $this->uses->count());
    }

    public function usesLeftWords(): string
    {
        return match ($this->usesLeft()) {
            0 => 'no use left',
            1 => 'one use left',
            default => $this->usesLeft() . ' uses left',
        };
    }

    /** Its pH against temperature: the bottle's own printed table where there is one, else the shipped one. */
    public function buffer(): Buffer
    {
        return $this->printed_table === null
            ? Buffer::named((string) $this->buffer)
            : Buffer::printed(array_values(array_map(static fn(array $row): array => [(float) $row[0], (float) $row[1]], $this->printed_table)));
    }

    public function forPlan(): BufferLot
    {
        return new BufferLot($this->code, (string) $this->buffer, (float) $this->nominal_ph, $this->usableUntil()->toDateString(), $this->usesLeft());
    }
}
