<?php

declare(strict_types=1);

namespace Rheacid\View\Ready;

use Illuminate\Support\Collection;
use Rheacid\Models\Calibration;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Pair;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Ready\Cleaning;

/** What the page of a meter with its electrode or sensor shows. */
final readonly class PairScreen
{
    private const CALIBRATIONS = 30;
    private const CARE = 14;
    private const OTHERS = 10;

    /**
     * @param Collection<int, Calibration> $calibrations the newest first
     * @param Collection<int, CareEvent> $care the newest first
     * @param Collection<int, Pair> $others meters that the electrode was on
     */
    private function __construct(
        public Pair $pair,
        public PairLine $line,
        public HealthScreen $health,
        public ?Cleaning $cleaning,
        public Collection $calibrations,
        public Collection $care,
        public Collection $others,
    ) {}

    public static function of(Pair $pair): self
    {
        $pair->load(['electrode', 'meter', 'policy', 'parting.person']);

        return new self(
            $pair,
            Lines::pair($pair->id),
            HealthScreen::of($pair),
            Cleaning::last($pair),
            Calibration::query()
                ->with(['person', 'void', 'run'])
                ->where('pair_id', $pair->id)
                ->orderByDesc('at')
                ->limit(self::CALIBRATIONS)
                ->get(),
            CareEvent::query()
                ->with('person')
                ->where('electrode_id', $pair->electrode_id)
                ->orderByDesc('at')
                ->orderByDesc('id')
                ->limit(self::CARE)
                ->get(),
            Pair::query()
                ->with('meter')
                ->where('electrode_id', $pair->electrode_id)
                ->whereKeyNot($pair->id)
                ->orderByDesc('id')
                ->limit(self::OTHERS)
                ->get(),
        );
    }
}
