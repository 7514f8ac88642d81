<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Actions\Batches\BatchMoves;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\Batch;
use Rheacid\Models\Calibration;
use Rheacid\Models\Measurement;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Queries\Measure\MeasuringChecks;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps readings that stood on paper, each at its own time, on the calibration and the check that were in force then: all, or none. */
final class RecordLate
{
    public function __construct(private KeepReading $keep) {}

    /**
     * @param non-empty-list<PaperLine> $lines
     * @param bool $isStill whether each stood still when it was written down; else it proves nothing
     *
     * @return Measurement the last of them
     *
     * @throws Refused with the line
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        Pair $pair,
        Thermometer $thermometer,
        Stage $stage,
        string $place,
        array $lines,
        bool $isStill,
        ?float $dilutionParts = null,
    ): Measurement {
        return Recording::once($by, $form, 'enter readings late', Measurement::class, function (Entry $entry) use (
            $batch,
            $pair,
            $thermometer,
            $stage,
            $place,
            $lines,
            $isStill,
            $dilutionParts,
        ): Measurement {
            $batch = BatchMoves::ensure($batch, null);
            MeasuringChecks::ensureMeasuresPh($pair);
            $kept = array_map(
                fn(PaperLine $line): Measurement => $this->line(
                    $entry,
                    $batch,
                    $pair,
                    $thermometer,
                    $stage,
                    $place,
                    $line,
                    $isStill,
                    $dilutionParts,
                ),
                $lines,
            );

            return $kept[count($kept) - 1];
        });
    }

    private function line(
        Entry $entry,
        Batch $batch,
        Pair $pair,
        Thermometer $thermometer,
        Stage $stage,
        string $place,
        PaperLine $line,
        bool $isStill,
        ?float $dilutionParts,
    ): Measurement {
        try {
            $drawing = DrawSample::inHand($entry, $batch, new DrawnSample($stage, $place, $line->at));
            $then = $line->at->format('Y-m-d H:i:s.v');
            $calibration = Calibration::query()
                ->where('pair_id', $pair->id)
                ->where('at', '<=', $then)
                ->orderByDesc('at')
                ->orderByDesc('id')
                ->first();
            if ($calibration === null || !$calibration->calibrationFunction()->canTell()) {
                throw Refused::because('The pair had no calibration at that time.');
            }
            $check
                = Verification::query()
                    ->with('outcome')
                    ->where('thermometer_id', $thermometer->id)
                    ->where('at', '<=', $then)
                    ->orderByDesc('at')
                    ->orderByDesc('id')
                    ->first() ?? throw Refused::because('The thermometer had not been checked by then.');

            $reading = TypedPh::of(
                $entry,
                $batch,
                $drawing,
                $calibration,
                $check,
                $line->signals,
                $line->celsius,
                array_fill(0, count($line->signals), Stability::of($isStill, null, 0)),
                null,
                $line->at,
                $dilutionParts,
            );

            return ($this->keep)($entry, $reading);
        } catch (Refused $refused) {
            throw $refused->under("Line $line->line", 'readings');
        }
    }
}
