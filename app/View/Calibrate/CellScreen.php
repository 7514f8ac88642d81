<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Illuminate\Support\Collection;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Cells\CellStandard;
use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Celsius;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Numbers;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\CellCalibration;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Site\SiteClock;

/** What the page of a conductivity or redox sensor shows. */
final readonly class CellScreen
{
    private const SHOWN = 20;

    /**
     * @param Collection<int, CellCalibration> $history newest first
     * @param list<Cup> $cups
     * @param list<BottleLine> $bottles every one, usable or not: a wrong one is refused with its reason
     */
    private function __construct(
        public Pair $pair,
        public PairStatus $status,
        public bool $isConductivity,
        public Collection $history,
        public array $bottles,
        public ?BottleLine $proposed,
        public ?LiveReading $live,
        public array $cups,
    ) {}

    public static function of(Pair $pair, SimulatedBench $bench): self
    {
        $pair->load(['meter', 'electrode.careEvents', 'policy', 'newestCell.lot', 'newestCell.other', 'newestCell.person']);
        $measures = $pair->electrode->measures;
        $bottles = Lines::bottles(SolutionKind::Buffer, SolutionKind::Conductivity, SolutionKind::Redox);
        usort(
            $bottles,
            static fn(BottleLine $a, BottleLine $b): int => [$a->state?->value !== $measures->value, $a->code] <=> [
                $b->state?->value !== $measures->value,
                $b->code,
            ],
        );

        $usable = array_values(
            array_filter($bottles, static fn(BottleLine $bottle): bool => Bottles::objectionToCell($bottle, $measures) === null),
        );
        $live = self::live($pair, $bench);

        return new self(
            $pair,
            Readiness::of($pair),
            $measures === Measures::Conductivity,
            CellCalibration::query()
                ->with(['lot', 'person'])
                ->where('pair_id', $pair->id)
                ->orderByDesc('at')
                ->limit(self::SHOWN)
                ->get(),
            $bottles,
            $usable[0] ?? null,
            $live,
            $live === null ? [] : SimulatedCups::bottles(...$usable === [] ? [] : [$usable[0]->id]),
        );
    }

    /** Nothing but the trace; null where nothing is read here. */
    public static function live(Pair $pair, SimulatedBench $bench): ?LiveReading
    {
        return $bench->hasCell($pair->electrode) ? LiveReading::ofCell($pair, $bench, route('cells.live', $pair)) : null;
    }

    public function unit(): string
    {
        return $this->isConductivity ? 'µS/cm' : 'mV';
    }

    /** The one number of a calibration. */
    public function figure(CellCalibration $cell): string
    {
        return $this->isConductivity
            ? Numbers::fixed((float) $cell->cell_factor, 3)
                    . ($cell->with_id === null ? '' : sprintf(', offset %s µS/cm', Numbers::fixed((float) $cell->offset_us, 1)))
            : Numbers::fixed((float) $cell->offset_mv, 1);
    }

    public function sentence(CellCalibration $cell): string
    {
        return match ($cell->verdict) {
            Verdict::Pass => 'Usable until ' . SiteClock::short($cell->due_at) . '.',
            Verdict::Caution => ($this->isConductivity
                ? 'Clean the cell, knock off bubbles and use fresh standard soon. '
                : 'Clean the ring and use fresh standard soon. ')
                . 'Usable until '
                . SiteClock::short($cell->due_at)
                . '.',
            Verdict::Fail => !$this->isConductivity && CellStandard::hasWrongSign($cell->standard_value, $cell->reading)
                ? 'The sign is the other one: check what was typed, the leads and the reference before the sensor.'
                : 'Rinse, use fresh standard and read it again. If it stays off, clean or replace the sensor.',
        };
    }

    /** What its reading in the standard means with the new factor. */
    public function meaning(CellCalibration $cell): string
    {
        if (!$this->isConductivity) {
            return sprintf(
                'Read %s mV; the standard has %s mV%s.',
                Numbers::fixed($cell->reading, 1),
                Numbers::plain($cell->standard_value),
                $cell->lot->reference === null ? '' : " against {$cell->lot->reference}",
            );
        }
        $read = Conductivity::compensated(
            $cell->reading,
            $cell->celsius,
            $cell->percentPerC(),
            (float) $cell->cell_factor,
            (float) $cell->offset_us,
        );

        return sprintf(
            'Read %s µS/cm at %s%s: %s µS/cm at 25 °C, %s ppm dissolved solids by the factor 0.5, %s ppm by 0.7.',
            Numbers::plain($cell->reading),
            Celsius::at($cell->celsius, 1),
            $cell->other === null
                ? ''
                : sprintf(
                    ', and %s in %s shortly before',
                    Numbers::plain($cell->other->reading),
                    Numbers::plain($cell->other->standard_value),
                ),
            Numbers::fixed($read->usPerCm25, 0),
            Numbers::fixed($read->tds500Ppm(), 0),
            Numbers::fixed($read->tds700Ppm(), 0),
        );
    }
}
