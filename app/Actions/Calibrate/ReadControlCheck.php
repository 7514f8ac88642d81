<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Actions\Batches\KeepDecision;
use Rheacid\Actions\KeepTrace;
use Rheacid\Bench\ReadingSource;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Settling;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationVoid;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\LookBack;
use Rheacid\Models\Lot;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\SessionMoment;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Measure\MeasuringChecks;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Queries\Ready\Occupancy;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Reads an independent buffer on the calibration in force. A failed check voids it back to the last good one. */
final readonly class ReadControlCheck
{
    public function __construct(private KeepDecision $keep) {}

    /**
     * @param string|null $reason why a reading is taken that has not settled
     * @param Thermometer|null $thermometer that read the temperature in the cup; null for the meter's own probe, if there is no check of it
     * @param float|null $cupC what it showed, where the reading brings another temperature with it
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Pair $pair,
        Lot $lot,
        SessionMoment $moment,
        ReadingSource $source,
        ?string $reason,
        ?Thermometer $thermometer = null,
        ?float $cupC = null,
    ): ControlCheck {
        return Recording::once($by, $form, 'check with a buffer', ControlCheck::class, function (Entry $entry) use (
            $by,
            $pair,
            $lot,
            $moment,
            $source,
            $reason,
            $thermometer,
            $cupC,
        ): ControlCheck {
            MeasuringChecks::ensureMeasuresPh($pair);
            Occupancy::ensureFree($pair->electrode);
            $calibration = self::inForce($pair);
            self::ensureIndependent($lot, $calibration);
            $seen = $source->observe($calibration->fitted(), Settling::WINDOW_S);
            $seen->ensureSettled(Settling::WINDOW_S, $reason);
            KeepTrace::ensureNew($seen);
            if ($thermometer !== null && $thermometer->meter_id !== $pair->meter_id && $seen->source !== Source::Typed && $cupC === null) {
                throw Refused::because(
                    sprintf('Type what %s shows in the cup, or choose the meter’s own probe.', $thermometer->code),
                    'cup_c',
                );
            }
            $read = Thermometers::read($thermometer, $cupC ?? $seen->celsius);
            $ph = $calibration->calibrationFunction()->tell($seen->signal, $read['celsius'])->ph;
            $bufferPh = $lot->buffer()->phAt($read['celsius']);
            $limit = $pair->policy->read_back_limit_ph;
            $check = $entry->add(
                new ControlCheck([
                    'pair_id' => $pair->id,
                    'calibration_id' => $calibration->id,
                    'lot_id' => $lot->id,
                    'moment' => $moment,
                    'mv' => $seen->signal->mv,
                    'shown_ph' => $seen->signal->shownPh,
                    ...$read,
                    'stability' => $seen->stability,
                    'ph' => $ph,
                    'buffer_ph' => $bufferPh,
                    'limit_ph' => $limit,
                    // What has not settled confirms nothing, and voids nothing.
                    'passed' => $seen->settled ? Numbers::atMost(abs($ph - $bufferPh), $limit) : null,
                    'settled' => $seen->settled,
                    'reason' => $reason,
                    'trace_id' => KeepTrace::of($entry, $seen)?->id,
                    'source' => $seen->source,
                    'person_id' => $by->id,
                    'at' => $entry->at,
                ]),
            );
            if ($check->passed === false) {
                self::void($entry, $check, $calibration);
            } elseif ($check->passed === true) {
                $this->judgeAnew($entry, $calibration);
            }

            return $check;
        });
    }

    private static function inForce(Pair $pair): Calibration
    {
        $calibration = Calibration::query()->where('pair_id', $pair->id)->orderByDesc('at')->lockForUpdate()->first();
        if ($calibration === null || $calibration->verdict === Verdict::Fail || $calibration->void !== null) {
            throw Refused::because('There is no valid calibration to check. Calibrate this pair first.', 'pair');
        }

        return $calibration;
    }

    private static function ensureIndependent(Lot $lot, Calibration $calibration): void
    {
        $objection = Bottles::objection($lot);
        if ($objection !== null) {
            throw Refused::because(sprintf('Bottle %s: %s. Choose a pH buffer that is in date.', $lot->code, $objection), 'lot');
        }
        if ($calibration->points->contains(static fn(CalibrationPoint $point): bool => $point->lot_id === $lot->id)) {
            throw Refused::because(
                sprintf('Bottle %s was used to calibrate and would confirm itself. Choose another bottle.', $lot->code),
                'lot',
            );
        }
    }

    /** What was read shortly before is known better now. */
    private function judgeAnew(Entry $entry, Calibration $calibration): void
    {
        $near = Measurement::query()
            ->where('calibration_id', $calibration->id)
            ->whereDoesntHave('successor')
            ->where('observed_at', '>=', $entry->at->subHours(ControlCheckStatus::HOURS))
            ->orderByDesc('observed_at')
            ->limit(ControlCheckStatus::SAMPLES)
            ->pluck('occasion_id')
            ->unique();
        foreach (Occasion::query()->findMany($near) as $occasion) {
            ($this->keep)($entry, $occasion, DecisionCause::ControlCheck);
        }
    }

    private static function void(Entry $entry, ControlCheck $check, Calibration $calibration): void
    {
        $good = ControlCheck::query()
            ->where('calibration_id', $calibration->id)
            ->where('passed', true)
            ->where('id', '<', $check->id)
            ->orderByDesc('at')
            ->first();
        $entry->add(
            new CalibrationVoid([
                'calibration_id' => $calibration->id,
                'reason' => sprintf(
                    'Check buffer %s: error %s pH; at most %s is allowed.',
                    $check->lot->code,
                    Numbers::fixed($check->error(), 3),
                    Numbers::plain($check->limit_ph),
                ),
                'back_to' => $good === null ? $calibration->at : $good->at,
                'person_id' => $entry->by->id,
                'at' => $entry->at,
            ]),
        );
        $entry->add(
            new LookBack([
                'calibration_id' => $calibration->id,
                'off_by' => abs($check->error()),
                'since' => $good === null ? $calibration->at : $good->at,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
    }
}
