<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Simulation\Noise;
use Rheacid\Core\Simulation\SimulatedBurette;
use Rheacid\Core\Simulation\SimulatedImmersion;
use Rheacid\Models\Batch;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;

/** The burettes of the simulated bench. */
final class SimulatedBurettes
{
    private const MOST = 3;

    /** Whether a burette and a sample of that batch stand on the bench. */
    public static function canTitrate(Batch $batch): bool
    {
        return DB::table('bench_cups')->where('batch_id', $batch->id)->exists();
    }

    /** Opens the simulated burette over a sample of a batch. */
    public static function open(Person $by, Batch $batch, Pair $pair, float $sampleMl, float $normality, int $speed): int
    {
        return DB::table('bench_burettes')->insertGetId([
            'batch_id' => $batch->id,
            'pair_id' => $pair->id,
            'person_id' => $by->id,
            'sample_ml' => $sampleMl,
            'normality' => $normality,
            'speed' => in_array($speed, SimulatedBench::SPEEDS, true) ? $speed : 1,
            'at' => CarbonImmutable::now()->format('Y-m-d H:i:s.v'),
        ]);
    }

    /**
     * What burette and meter show of runs until now, with the calibration that is in force.
     *
     * @param list<int> $ids
     *
     * @return list<Burette> in the order in which they were opened
     */
    public static function of(Batch $batch, array $ids): array
    {
        $burettes = [];
        foreach (
            DB::table('bench_burettes')->where('batch_id', $batch->id)->whereIn('id', $ids)->orderBy('id')->limit(self::MOST)->get() as $row
        ) {
            $pair = Pair::query()->with('newestCalibration.points')->findOrFail((int) $row->pair_id);
            $function = $pair->newestCalibration?->calibrationFunction();
            $cup = DB::table('bench_cups')->where('batch_id', $batch->id)->sole();
            $elapsed
                = (CarbonImmutable::parse((string) $row->at, 'UTC')->diffInMilliseconds(CarbonImmutable::now()) / 1000) * (int) $row->speed;
            $noise = new Noise((int) $row->id);
            $condition = SimulatedBench::condition($pair->electrode_id);
            $points = [];
            $true = (new SimulatedBurette(
                SimulatedCups::sample($cup)->solution(),
                (float) $row->sample_ml,
                (float) $row->normality,
            ))->points(max(0.0, $elapsed));
            foreach ($true as [$ml, $ph]) {
                $mv
                    = (new SimulatedImmersion($condition, $ph, (float) $cup->celsius, 0.0, 0))->restMv()
                    + $condition->noiseMv * $noise->next();
                $points[] = [
                    $ml,
                    $function === null ? round($ph, 2) : round($function->tell(Signal::mv(round($mv, 1)), (float) $cup->celsius)->ph, 2),
                ];
            }
            $burettes[] = new Burette(
                (int) $row->id,
                (float) $row->sample_ml,
                (int) $row->speed,
                $points,
                SimulatedBurette::isPast($true),
                SimulatedBurette::isEmpty($true),
            );
        }

        return $burettes;
    }
}
