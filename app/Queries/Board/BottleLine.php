<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Core\Solutions\BottleFacts;
use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Solutions\Water;
use Rheacid\Models\Bottle;
use Rheacid\Models\Lot;
use Rheacid\Site\SiteClock;

/** A bottle on the board. */
final readonly class BottleLine implements Bottle
{
    /** @param BottleEvent|null $barredBy what keeps it from critical limits */
    public function __construct(
        public int $id,
        public string $code,
        public bool $isLive,
        public ?SolutionKind $state,
        public CarbonImmutable $since,
        public string $label,
        public BottleContents $contents,
        public BottleFacts $facts,
        public ?BottleEvent $barredBy,
    ) {}

    public static function work(int $id): self
    {
        $lot = Lot::query()->withCount('uses')->findOrFail($id);
        $facts = $lot->facts();

        return new self(
            $lot->id,
            $lot->code,
            !$facts->isDiscarded,
            $lot->kind,
            CarbonImmutable::parse($facts->openedOn ?? $facts->expiresOn, 'UTC'),
            $lot->label,
            new BottleContents($lot->buffer, $lot->family, $lot->nominal_ph, $lot->standard_value, $lot->expandedU()),
            $facts,
            match (true) {
                $lot->happened(BottleEvent::Dipped) !== null => BottleEvent::Dipped,
                $lot->happened(BottleEvent::MadeUp)?->water === Water::Tap => BottleEvent::MadeUp,
                default => null,
            },
        );
    }

    public function status(): BottleStatus
    {
        return BottleStatus::on(SiteClock::today(), $this->facts);
    }

    public function holds(): ?SolutionKind
    {
        return $this->state;
    }

    public function usesAllowed(): ?int
    {
        return $this->facts->usesAllowed;
    }

    public function forPlan(): BufferLot
    {
        $status = $this->status();

        // Each bottle with its own printed table is a buffer of its own; of one pH they are taken for one.
        return new BufferLot(
            $this->code,
            BufferTables::knows((string) $this->contents->buffer)
                ? (string) $this->contents->buffer
                : 'printed ' . $this->contents->nominalPh,
            (float) $this->contents->nominalPh,
            $status->usableUntil,
            $status->usesLeft ?? 0,
        );
    }
}
