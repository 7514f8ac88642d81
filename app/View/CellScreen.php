<?php

declare(strict_types=1);

namespace Rheacid\View;

use Illuminate\Support\Collection;
use Rheacid\Actions\Calibrate\CalibrateCell;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Electrode\Conductivity;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Numbers;
use Rheacid\Models\CellCalibration;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\SiteClock;
use Rheacid\Shelf\Cells;

/** What the page of a conductivity or redox sensor shows. */
final readonly class CellScreen
{
    /**
     * @param Collection<int, CellCalibration> $history newest first
     * @param list<Cup> $cups
     * @param Collection<int, Lot> $lots every bottle, usable or not: a wrong one is refused with its reason
     */
    private function __construct(
        public Pair $pair,
        public PairStatus $status,
        public bool $isConductivity,
        public Collection $history,
        public Collection $lots,
        public ?Lot $proposed,
        public ?LiveReading $live,
        public array $cups,
    ) {}

    public static function of(Pair $pair, SimulatedBench $bench): self
    {
        $pair->load(['meter', 'electrode.careEvents', 'policy', 'newestCell.lot', 'newestCell.person']);
        $measures = $pair->electrode->measures;
        $lots = Lot::query()->onShelf()->with('uses')->whereIn('kind', ['buffer', 'conductivity', 'redox'])->orderByRaw('kind = ? desc', [$measures->value])->orderBy('code')->get();

        $proposed = $lots->first(static fn(Lot $lot): bool => CalibrateCell::objection($lot, $measures) === null);
        $stands = $bench->hasCell($pair->electrode);

        return new self(
            $pair,
            Cells::status($pair),
            $measures === Measures::Conductivity,
            $pair->cellCalibrations()->with(['lot', 'person'])->get()->reverse()->take(20)->values(),
            $lots,
            $proposed,
            $stands ? LiveReading::ofCell($pair, $bench, route('cells.live', $pair)) : null,
            $stands ? array_values(array_filter($bench->cups(), static fn(Cup $cup): bool => $cup->batchId === null)) : [],
        );
    }

    public function unit(): string
    {
        return $this->isConductivity ? 'µS/cm' : 'mV';
    }

    /** The one number of a calibration. */
    public function figure(CellCalibration $cell): string
    {
        return $this->isConductivity ? Numbers::fixed((float) $cell->cell_factor, 3) : Numbers::fixed((float) $cell->offset_mv, 1);
    }

    public function sentence(CellCalibration $cell): string
    {
        return match ($cell->verdict) {
            Verdict::Pass => 'Usable until ' . SiteClock::short($cell->due_at) . '.',
            Verdict::Caution => ($this->isConductivity ? 'Clean the cell, knock bubbles off, take fresh standard soon. ' : 'Clean the ring, take fresh standard soon. ') . 'Usable until ' . SiteClock::short($cell->due_at) . '.',
            Verdict::Fail => 'Rinse, take fresh standard, read it again. If it stays off, clean or replace the sensor.',
        };
    }

    /** What its reading in the standard means with the new factor. */
    public function meaning(CellCalibration $cell): string
    {
        if (!$this->isConductivity) {
            return sprintf('Read %s mV where the standard has %s mV%s.', Numbers::fixed($cell->reading, 1), Numbers::plain($cell->standard_value), $cell->lot->reference === null ? '' : " against {$cell->lot->reference}");
        }
        $read = Conductivity::compensated($cell->reading, $cell->celsius, cellFactor: (float) $cell->cell_factor);

        return sprintf('Read %s µS/cm at %s °C: %s µS/cm at 25 °C with the factor, %s ppm dissolved solids by the factor 0.5, %s ppm by 0.7.', Numbers::plain($cell->reading), Numbers::fixed($cell->celsius, 1), Numbers::fixed($read->usPerCm25, 0), Numbers::fixed($read->tds500Ppm(), 0), Numbers::fixed($read->tds700Ppm(), 0));
    }
}
