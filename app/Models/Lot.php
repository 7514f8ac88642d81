<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\SiteClock;
use Rheacid\Records\Kept;

/** A bottle of solution. */
final class Lot extends Model
{
    use Kept;

    protected $with = ['events'];

    protected $casts = [
        'nominal_ph' => 'float',
        'opened_on' => 'date',
        'expires_on' => 'date',
        'days_after_opening' => 'integer',
        'uses_allowed' => 'integer',
        'expanded_u_ph' => 'float',
        'printed_table' => 'array',
        'volume_ml' => 'float',
        'standard_value' => 'float',
    ];

    /** @return HasMany<LotUse, $this> */
    public function uses(): HasMany
    {
        return $this->hasMany(LotUse::class);
    }

    /** @return HasMany<LotEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(LotEvent::class)->orderBy('id');
    }

    /**
     * Bottles that were not discarded.
     *
     * @param Builder<self> $query
     */
    public function scopeOnShelf(Builder $query): void
    {
        $query->whereDoesntHave('events', static fn(Builder $event) => $event->where('kind', 'discarded'));
    }

    public function solution(): SolutionKind
    {
        return SolutionKind::from($this->kind);
    }

    public function happened(string $kind): ?LotEvent
    {
        return $this->events->last(static fn(LotEvent $event): bool => $event->kind === $kind);
    }

    /** The day it was opened or made up, whichever shelf life begins with. */
    public function openedOn(): ?CarbonInterface
    {
        $event = $this->comes_as === 'powder' ? $this->happened('made-up') : $this->happened('opened');

        return $this->opened_on ?? ($event === null ? null : SiteClock::local($event->at)->startOfDay());
    }

    /** Dipped into, or made up with tap water: never for a critical limit. */
    public function isBarred(?CarbonInterface $at = null): bool
    {
        return $this->events->contains(static fn(LotEvent $event): bool => ($at === null || $event->at <= $at) && ($event->kind === 'dipped' || $event->water === 'tap'));
    }

    public function isBuffer(): bool
    {
        return $this->kind === 'buffer';
    }

    /** The sooner of the printed date and the shelf life after opening. */
    public function usableUntil(): CarbonInterface
    {
        $opened = $this->openedOn()?->addDays($this->days_after_opening);

        return $opened !== null && $opened->lessThan($this->expires_on) ? $opened : $this->expires_on;
    }

    /** Null where uses are not counted. */
    public function usesLeft(): ?int
    {
        return $this->uses_allowed === null ? null : max(0, $this->uses_allowed - $this->uses->count());
    }

    public function usesLeftWords(): string
    {
        return match ($this->usesLeft()) {
            null => 'not counted',
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
        return new BufferLot($this->code, (string) $this->buffer, (float) $this->nominal_ph, $this->usableUntil()->toDateString(), $this->usesLeft() ?? 0);
    }
}
