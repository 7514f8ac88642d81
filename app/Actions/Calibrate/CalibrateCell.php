<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Actions\Bench\MoveElectrode;
use Rheacid\Actions\KeepTrace;
use Rheacid\Bench\CellReading;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\CellStandard;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\CellCalibration;
use Rheacid\Models\Lot;
use Rheacid\Models\LotUse;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Site;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Shelf\Bottles;
use Rheacid\Shelf\Occupancy;
use Rheacid\Shelf\Readiness;
use Rheacid\SiteClock;

/** Reads a conductivity standard or a redox standard: one gives the cell factor, the other an offset. */
final class CalibrateCell
{
    /**
     * @param CellReading $seen µS/cm, not compensated, or mV
     * @param string|null $reason why it is taken all the same
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Pair $pair, Lot $lot, CellReading $seen, ?string $reason): CellCalibration
    {
        return Recording::once($by, $form, 'calibrate a cell', CellCalibration::class, static function (Entry $entry) use ($by, $pair, $lot, $seen, $reason): CellCalibration {
            self::ensureUsable($pair);
            Occupancy::ensureFree($pair->electrode);
            $objection = Bottles::objectionToCell($lot, $pair->electrode->measures);
            if ($objection !== null) {
                throw Refused::because(sprintf('Bottle %s (%s): %s.', $lot->code, $lot->label, $objection), 'lot');
            }
            $seen->ensureSettled($reason);
            $isConductivity = $pair->electrode->measures === Measures::Conductivity;
            $read = $isConductivity ? CellStandard::conductivity((float) $lot->standard_value, $seen->value, $seen->celsius) : CellStandard::redox((float) $lot->standard_value, $seen->value);
            $cell = $entry->add(new CellCalibration([
                'pair_id' => $pair->id,
                'lot_id' => $lot->id,
                'measures' => $pair->electrode->measures,
                'reading' => $seen->value,
                'celsius' => $seen->celsius,
                'standard_value' => $lot->standard_value,
                'cell_factor' => $read->cellFactor,
                'offset_mv' => $read->offsetMv,
                'verdict' => $read->verdict,
                'trace_id' => KeepTrace::of($entry, $seen)?->id,
                'source' => $seen->source,
                'settled' => $seen->settled,
                'reason' => $reason,
                'at' => $entry->at,
                'due_at' => $pair->policy->interval()->dueAt($entry->at, SiteClock::endOfDay($entry->at)),
                'person_id' => $by->id,
            ]));
            if (in_array($seen->source, Site::evidence(), true)) {
                MoveElectrode::openLot($entry, $lot->id);
                $entry->add(new LotUse(['lot_id' => $lot->id, 'cell_calibration_id' => $cell->id, 'at' => $entry->at]));
            }

            return $cell;
        });
    }

    private static function ensureUsable(Pair $pair): void
    {
        if ($pair->electrode->measures === Measures::Ph) {
            throw Refused::because(sprintf('%s measures pH; it is calibrated on buffers.', $pair->electrode->code), 'pair');
        }
        $status = Readiness::of($pair);
        if ($pair->parting !== null || in_array($status->state, [PairState::OutOfUse, PairState::Retired], true)) {
            throw Refused::because(sprintf('%s is %s.', $pair->electrode->code, $pair->parting !== null ? 'parted from its meter' : StateWords::pair($status->state, null, $status->because)), 'pair');
        }
    }
}
