<?php

declare(strict_types=1);

namespace Rheacid\View\Ready;

use Illuminate\Support\Collection;
use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Models\Lot;
use Rheacid\Models\LotEvent;
use Rheacid\Models\LotUse;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Queries\Ready\Bottles;

/** What the page of a bottle shows. */
final readonly class BottleScreen
{
    private const SHOWN = 30;

    /**
     * @param Collection<int, LotUse> $uses the newest first
     * @param Collection<int, LotEvent> $events the newest first
     * @param Collection<int, TitrantStandardisation> $strengths of a titrant, the newest first
     */
    private function __construct(
        public Lot $lot,
        public BottleStatus $status,
        public ?string $spent,
        public Collection $uses,
        public Collection $events,
        public Collection $strengths,
    ) {}

    public static function of(Lot $lot): self
    {
        return new self(
            $lot,
            $lot->status(),
            Bottles::spent($lot),
            LotUse::query()
                ->with(['run.pair.electrode', 'run.holder', 'cell.pair.electrode', 'cell.person'])
                ->where('lot_id', $lot->id)
                ->orderByDesc('id')
                ->limit(self::SHOWN)
                ->get(),
            LotEvent::query()->with('person')->where('lot_id', $lot->id)->orderByDesc('id')->limit(self::SHOWN)->get(),
            TitrantStandardisation::query()->where('lot_id', $lot->id)->orderByDesc('id')->limit(self::SHOWN)->get(),
        );
    }
}
