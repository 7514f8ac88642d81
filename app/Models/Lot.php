<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Core\Solutions\BottleFacts;
use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\ComesAs;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Solutions\Water;
use Rheacid\Site\SiteClock;

/**
 * A bottle of solution.
 *
 * @property int|null $uses_count where it was counted with the bottle
 */
final class Lot extends Model implements Bottle
{
    use Sealed;

    protected $with = ['events'];

    protected $casts = [
        'kind' => SolutionKind::class,
        'comes_as' => ComesAs::class,
        'family' => BufferFamily::class,
        'nominal_ph' => 'float',
        'opened_on' => 'date',
        'expires_on' => 'date',
        'days_after_opening' => 'integer',
        'uses_allowed' => 'integer',
        'expanded_u_ph' => 'float',
        'printed_table' => 'array',
        'volume_ml' => 'float',
        'standard_value' => 'float',
        'kept_cold' => 'boolean',
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

    public function happened(BottleEvent $kind): ?LotEvent
    {
        return $this->events->last(static fn(LotEvent $event): bool => $event->kind === $kind);
    }

    /** The day it was opened or made up, whichever shelf life begins with. */
    public function openedOn(): ?CarbonInterface
    {
        $event = $this->happened($this->comes_as === ComesAs::Powder ? BottleEvent::MadeUp : BottleEvent::Opened);

        return $this->opened_on ?? ($event === null ? null : SiteClock::local($event->at)->startOfDay());
    }

    /** Dipped into, or made up with tap water: never for a critical limit. */
    public function isBarred(?CarbonInterface $at = null): bool
    {
        return $this->events->contains(
            static fn(LotEvent $event): bool => ($at === null || $event->at <= $at)
                && ($event->kind === BottleEvent::Dipped || $event->water === Water::Tap),
        );
    }

    public function isBuffer(): bool
    {
        return $this->kind === SolutionKind::Buffer;
    }

    /** What its state follows from. */
    public function facts(): BottleFacts
    {
        return new BottleFacts(
            $this->expires_on->toDateString(),
            $this->openedOn()?->toDateString(),
            $this->days_after_opening,
            $this->uses_allowed,
            is_numeric($this->uses_count ?? null) ? (int) $this->uses_count : $this->uses()->count(),
            $this->comes_as === ComesAs::Powder,
            $this->happened(BottleEvent::Discarded) !== null,
        );
    }

    public function status(): BottleStatus
    {
        return BottleStatus::on(SiteClock::today(), $this->facts());
    }

    public function holds(): SolutionKind
    {
        return $this->kind;
    }

    public function usesAllowed(): ?int
    {
        return $this->uses_allowed;
    }

    /** How well its pH is known, k = 2: by its certificate, else what is usual for its family. */
    public function expandedU(): float
    {
        return $this->expanded_u_ph ?? ($this->family ?? BufferFamily::Any)->usualExpandedU();
    }

    /** Its pH against temperature: the bottle's own printed table where there is one, else the shipped one. */
    public function buffer(): Buffer
    {
        return $this->printed_table === null
            ? Buffer::named((string) $this->buffer)
            : Buffer::printed(
                array_values(array_map(static fn(array $row): array => [(float) $row[0], (float) $row[1]], $this->printed_table)),
            );
    }
}
