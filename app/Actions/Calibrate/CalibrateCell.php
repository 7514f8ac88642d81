<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Actions\KeepTrace;
use Rheacid\Bench\CellReading;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Cells\CellStandard;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\CellCalibration;
use Rheacid\Models\Lot;
use Rheacid\Models\LotUse;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Site;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Queries\Ready\Occupancy;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Reads a conductivity standard or a redox standard: one gives the cell factor, two of them factor and offset, redox an offset. */
final class CalibrateCell
{
    private const LOOKS_AT = 5;

    /**
     * @param CellReading $seen µS/cm, not compensated, or mV
     * @param string|null $reason why it is taken all the same
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Pair $pair, Lot $lot, CellReading $seen, ?string $reason): CellCalibration
    {
        return Recording::once($by, $form, 'calibrate a cell', CellCalibration::class, static function (Entry $entry) use (
            $by,
            $pair,
            $lot,
            $seen,
            $reason,
        ): CellCalibration {
            self::ensureUsable($pair);
            Occupancy::ensureFree($pair->electrode);
            $objection = Bottles::objectionToCell($lot, $pair->electrode->measures);
            if ($objection !== null) {
                throw Refused::because(sprintf('Bottle %s (%s): %s.', $lot->code, $lot->label, $objection), 'lot');
            }
            $seen->ensureSettled($reason);
            KeepTrace::ensureNew($seen);
            $cell = new CellCalibration([
                'pair_id' => $pair->id,
                'lot_id' => $lot->id,
                'measures' => $pair->electrode->measures,
                'reading' => $seen->value,
                'celsius' => $seen->celsius,
                'standard_value' => $lot->standard_value,
                'trace_id' => KeepTrace::of($entry, $seen)?->id,
                'source' => $seen->source,
                'settled' => $seen->settled,
                'reason' => $reason,
                'at' => $entry->at,
                'due_at' => $pair->policy->interval()->dueAt($entry->at, SiteClock::endOfDay($entry->at)),
                'person_id' => $by->id,
                'is_compensated' => $seen->isCompensated,
            ]);
            self::ensureWet($cell, $reason);
            self::ensureSign($cell, $reason);
            $other = self::other($entry, $cell);
            $read = match (true) {
                $cell->measures === Measures::Redox => CellStandard::redox($cell->standard_value, $cell->reading),
                $other !== null => CellStandard::line($other->toCore(), $cell->toCore()),
                default => CellStandard::conductivity($cell->toCore()),
            };
            $entry->add(
                $cell->fill([
                    'cell_factor' => $read->cellFactor,
                    'offset_mv' => $read->offsetMv,
                    'offset_us' => $cell->measures === Measures::Redox ? null : $read->offsetUs,
                    'with_id' => $other?->id,
                    'verdict' => $read->verdict,
                ]),
            );
            if (in_array($seen->source, Site::evidence(), true)) {
                LotUses::keep($entry, LotUses::opened($lot));
                $entry->add(new LotUse(['lot_id' => $lot->id, 'cell_calibration_id' => $cell->id, 'at' => $entry->at]));
            }

            return $cell;
        });
    }

    /** @throws Refused where the reading cannot be that of a wet cell in this standard */
    private static function ensureWet(CellCalibration $cell, ?string $reason): void
    {
        if (
            $cell->measures === Measures::Conductivity
            && $reason === null
            && CellStandard::isFarTooLow($cell->standard_value, $cell->reading)
        ) {
            throw Refused::because(
                sprintf(
                    '%s µS/cm, but the standard has %s. The cell is dry or not deep enough, or mS/cm was typed as µS/cm. Type the unit '
                        . 'with the number, like 1.41 mS/cm.',
                    Numbers::plain($cell->reading),
                    Numbers::plain($cell->standard_value),
                ),
                'reading',
            );
        }
    }

    /** @throws Refused where the reading has the other sign */
    private static function ensureSign(CellCalibration $cell, ?string $reason): void
    {
        if ($cell->measures === Measures::Redox && $reason === null && CellStandard::hasWrongSign($cell->standard_value, $cell->reading)) {
            throw Refused::because(
                sprintf(
                    '%s mV, but the standard has %s mV: the sign is the other one. Type the number with the sign that the meter shows, or '
                        . 'check leads and reference.',
                    Numbers::plain($cell->reading),
                    Numbers::plain($cell->standard_value),
                ),
                'reading',
            );
        }
    }

    /** The reading in another standard shortly before, through which a line can be laid. */
    private static function other(Entry $entry, CellCalibration $cell): ?CellCalibration
    {
        return $cell->measures === Measures::Redox
            ? null
            : CellCalibration::query()
                ->where('pair_id', $cell->pair_id)
                ->where('settled', true)
                ->where('at', '>=', $entry->at->subHours(CellStandard::SESSION_H))
                ->orderByDesc('id')
                ->limit(self::LOOKS_AT)
                ->get()
                ->first(
                    static fn(CellCalibration $earlier): bool => CellStandard::makeALine($earlier->standard_value, $cell->standard_value),
                );
    }

    private static function ensureUsable(Pair $pair): void
    {
        if ($pair->electrode->measures === Measures::Ph) {
            throw Refused::because(sprintf('%s measures pH. Calibrate it with buffers.', $pair->electrode->code), 'pair');
        }
        $status = Readiness::of($pair);
        if ($pair->parting !== null || in_array($status->state, [PairState::OutOfUse, PairState::Retired], true)) {
            throw Refused::because(
                sprintf(
                    '%s is %s.',
                    $pair->electrode->code,
                    $pair->parting !== null ? 'separated from its meter' : StateWords::pair($status->state, null, $status->because),
                ),
                'pair',
            );
        }
    }
}
