<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Simulation\ElectrodeCondition;
use Rheacid\Core\Simulation\SimulatedImmersion;
use Rheacid\Models\Electrode;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;

/** The simulated bench: the only reader of the truth about its electrodes and cups. */
final class SimulatedBench
{
    public const SPEEDS = [1, 5, 10, 30, 60];

    private const DIGIT_MV = 0.1;
    private const SAMPLE_S = 180;
    private const RINSE_S = 20;

    /** @return list<Cup> every cup on the bench, buffers first */
    public function cups(): array
    {
        return array_values(DB::table('bench_cups')
            ->leftJoin('lots', 'lots.id', '=', 'bench_cups.lot_id')
            ->leftJoin('batches', 'batches.id', '=', 'bench_cups.batch_id')
            ->orderByRaw('bench_cups.batch_id is not null, lots.nominal_ph, bench_cups.id')
            ->get(['bench_cups.id', 'bench_cups.lot_id', 'bench_cups.batch_id', 'lots.label', 'lots.code as lot', 'batches.code as batch'])
            ->map(static fn(object $cup): Cup => new Cup(
                (int) $cup->id,
                $cup->lot === null ? "sample of {$cup->batch}" : "{$cup->label} · {$cup->lot}",
                $cup->lot_id === null ? null : (int) $cup->lot_id,
                $cup->batch_id === null ? null : (int) $cup->batch_id,
            ))->all());
    }

    public function knows(Electrode $electrode): bool
    {
        return DB::table('bench_electrodes')->where('electrode_id', $electrode->id)->exists();
    }

    public function current(Electrode $electrode): ?Immersion
    {
        $row = DB::table('bench_immersions')->where('electrode_id', $electrode->id)->orderByDesc('id')->first();

        return $row === null ? null : new Immersion(
            (int) $row->id,
            (int) $row->electrode_id,
            (int) $row->bench_cup_id,
            CarbonImmutable::parse($row->at, 'UTC'),
            (int) $row->speed,
            (float) $row->from_mv,
        );
    }

    /** The trace from the moment of immersion until now, one point a simulated second. */
    public function trace(Immersion $immersion, Meter $meter): Trace
    {
        return $this->simulate($immersion)->trace($this->elapsed($immersion), $meter->resolution_mv ?? self::DIGIT_MV);
    }

    public function elapsed(Immersion $immersion): float
    {
        return max(0.0, $immersion->at->diffInMilliseconds(CarbonImmutable::now()) / 1000 * $immersion->speed);
    }

    /** Where the electrode stands now, in mV without noise: the next immersion begins there. */
    public function standsAt(Electrode $electrode): float
    {
        $immersion = $this->current($electrode);

        return $immersion === null ? 0.0 : $this->simulate($immersion)->restMv();
    }

    /** What a logger would have written of a calibration on 7.00 and 4.01 with a read-back: one point a second, a silence while rinsing. */
    public function sampleLog(Pair $pair): string
    {
        $lines = ["time s;potential mV;temperature °C"];
        $clock = 0;
        $from = 0.0;
        foreach (['technical-7.00', 'technical-4.01', 'technical-7.00'] as $seed => $buffer) {
            $immersion = new SimulatedImmersion($this->condition($pair->electrode_id), Buffer::named($buffer)->phAt(21.4), 21.4, $from, $seed + 1);
            foreach ($immersion->trace(self::SAMPLE_S)->points as [$second, $mv, $celsius]) {
                $lines[] = str_replace('.', ',', sprintf('%d;%.1F;%.1F', $clock + $second, $mv, $celsius));
            }
            $from = $immersion->restMv();
            $clock += self::SAMPLE_S + self::RINSE_S;
        }

        return implode("\r\n", $lines) . "\r\n";
    }

    private function simulate(Immersion $immersion): SimulatedImmersion
    {
        $cup = DB::table('bench_cups')->where('id', $immersion->cupId)->sole();

        return new SimulatedImmersion(
            $this->condition($immersion->electrodeId),
            $cup->buffer === null ? (float) $cup->ph : Buffer::named($cup->buffer)->phAt((float) $cup->celsius),
            (float) $cup->celsius,
            $immersion->fromMv,
            // Counted by electrode, so that the same steps give the same traces in any database.
            DB::table('bench_immersions')->where('electrode_id', $immersion->electrodeId)->where('id', '<=', $immersion->id)->count(),
        );
    }

    private function condition(int $electrodeId): ElectrodeCondition
    {
        $electrode = DB::table('bench_electrodes')->where('electrode_id', $electrodeId)->firstOrFail();

        return new ElectrodeCondition(
            (float) $electrode->slope_share,
            (float) $electrode->offset_mv,
            (float) $electrode->time_constant_s,
            (float) $electrode->slow_share,
            (float) $electrode->slow_time_constant_s,
            (float) $electrode->noise_mv,
            (float) $electrode->drift_mv_per_min,
            (int) $electrode->seed,
        );
    }
}
