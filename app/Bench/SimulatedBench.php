<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Simulation\ElectrodeCondition;
use Rheacid\Core\Simulation\Noise;
use Rheacid\Core\Simulation\Scene;
use Rheacid\Core\Simulation\SimulatedCell;
use Rheacid\Core\Simulation\SimulatedImmersion;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;

/** The electrodes of the simulated bench in its cups: with its cups, baths and burettes the only reader of their truth. */
final class SimulatedBench
{
    public const SPEEDS = [1, 5, 10, 30, 60];

    private const DIGIT_MV = 0.1;
    private const ROOM_C = 21.4;

    /** Places at which the pieces are drawn, not what is around them. */
    private const PIECES = ['solids', 'pieces'];

    private const SAMPLE_S = 180;
    private const RINSE_S = 20;

    /** What buffers and samples have where no standard is: µS/cm at 25 °C, mV. */
    private const OTHER_LIQUID = ['conductivity' => 4300.0, 'redox' => 180.0];

    public function knows(Electrode $electrode): bool
    {
        return DB::table('bench_electrodes')->where('electrode_id', $electrode->id)->exists();
    }

    public function current(Electrode $electrode): ?Immersion
    {
        $row = DB::table('bench_immersions')->where('electrode_id', $electrode->id)->orderByDesc('id')->first();

        return $row === null
            ? null
            : new Immersion(
                (int) $row->id,
                (int) $row->electrode_id,
                (int) $row->bench_cup_id,
                CarbonImmutable::parse($row->at, 'UTC'),
                (int) $row->speed,
                (float) $row->from_mv,
                (int) $row->pours,
                (bool) $row->diluted,
                in_array($row->place, self::PIECES, true),
            );
    }

    /** The trace from the moment of immersion until now, one point a simulated second. */
    public function trace(Immersion $immersion, Meter $meter): Trace
    {
        return $this->simulate($immersion)->trace($this->elapsed($immersion), $meter->resolution_mv ?? self::DIGIT_MV);
    }

    public function elapsed(Immersion $immersion): float
    {
        return max(0.0, ($immersion->at->diffInMilliseconds(CarbonImmutable::now()) / 1000) * $immersion->speed);
    }

    /** Where the electrode stands now, in mV without noise (a cell in its own unit): the next immersion begins there. */
    public function standsAt(Electrode $electrode): float
    {
        $immersion = $this->current($electrode);

        return match (true) {
            $immersion === null => 0.0,
            $this->hasCell($electrode) => $this->cellTarget($immersion),
            default => $this->simulate($immersion)->restMv(),
        };
    }

    /** Whether a conductivity cell or redox electrode stands on the bench. */
    public function hasCell(Electrode $electrode): bool
    {
        return DB::table('bench_cells')->where('electrode_id', $electrode->id)->exists();
    }

    /** Of a cell from the moment of immersion until now: seconds, µS/cm as read or mV, °C. */
    public function cellTrace(Immersion $immersion): Trace
    {
        $cell = DB::table('bench_cells')->where('electrode_id', $immersion->electrodeId)->sole();
        $cup = DB::table('bench_cups')->where('id', $immersion->cupId)->sole();

        return (new SimulatedCell(
            $this->cellTarget($immersion),
            $immersion->fromMv,
            (float) $cup->celsius,
            (float) $cell->time_constant_s,
            (float) $cell->noise_share,
            (int) $cell->seed * 1_000_003 + self::ordinal($immersion),
        ))->trace($this->elapsed($immersion));
    }

    /** What a cell tends to in a cup: the standard by its label, or what anything else may have. */
    private function cellTarget(Immersion $immersion): float
    {
        $cell = DB::table('bench_cells')
            ->join('electrodes', 'electrodes.id', '=', 'bench_cells.electrode_id')
            ->where('electrode_id', $immersion->electrodeId)
            ->sole(['bench_cells.*', 'electrodes.measures']);
        $cup = DB::table('bench_cups')
            ->leftJoin('lots', 'lots.id', '=', 'bench_cups.lot_id')
            ->where('bench_cups.id', $immersion->cupId)
            ->sole(['bench_cups.celsius', 'lots.kind', 'lots.standard_value']);
        $value = $cup->kind === $cell->measures ? (float) $cup->standard_value : self::OTHER_LIQUID[(string) $cell->measures];

        return $cell->measures === Measures::Redox->value
            ? $value + (float) $cell->offset_mv
            : ($value * (1 + (Conductivity::PERCENT_PER_C / 100) * ((float) $cup->celsius - 25))) / (float) $cell->factor;
    }

    /** Gives the electrode the condition of a scene, and the cups of buffer what the scene has in them. */
    public function set(Electrode $electrode, Scene $scene): void
    {
        $true = $scene->electrode;
        DB::transaction(static function () use ($electrode, $scene, $true): void {
            DB::table('bench_electrodes')
                ->where('electrode_id', $electrode->id)
                ->update([
                    'slope_share' => $true->slopeShare,
                    'offset_mv' => $true->offsetMv,
                    'time_constant_s' => $true->timeConstantS,
                    'slow_share' => $true->slowShare,
                    'slow_time_constant_s' => $true->slowTimeConstantS,
                    'noise_mv' => $true->noiseMv,
                    'drift_mv_per_min' => $true->driftMvPerMinute,
                    'sensor_error_c' => $true->sensorErrorC,
                    'seed' => $true->seed,
                ]);
            foreach (
                Lot::query()
                    ->whereIn('id', array_map(static fn(BottleLine $bottle): int => $bottle->id, Lines::bottles(SolutionKind::Buffer)))
                    ->get() as $lot
            ) {
                if ($lot->buffer()->covers($scene->celsius)) {
                    DB::table('bench_cups')
                        ->where('lot_id', $lot->id)
                        ->update([
                            'buffer' => null,
                            'ph' => $scene->inCup($lot->buffer()->phAt($scene->celsius)),
                            'celsius' => $scene->celsius,
                        ]);
                }
            }
        });
    }

    /** What a logger would have written of a calibration on 7.00 and 4.01 with a read-back: one point a second, a silence while rinsing. */
    public function sampleLog(Pair $pair): string
    {
        $lines = ['time s;potential mV;temperature °C'];
        $clock = 0;
        $from = 0.0;
        foreach (['technical-7.00', 'technical-4.01', 'technical-7.00'] as $seed => $buffer) {
            $immersion = new SimulatedImmersion(
                self::condition($pair->electrode_id),
                Buffer::named($buffer)->phAt(self::ROOM_C),
                self::ROOM_C,
                $from,
                $seed + 1,
            );
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

        $sample = $cup->matrix === null ? null : SimulatedCups::sample($cup);
        $condition = self::condition($immersion->electrodeId);

        return new SimulatedImmersion(
            $sample === null ? $condition : $sample->slows($condition, $immersion->isDiluted),
            match (true) {
                $sample !== null => $sample->ph($immersion->pours, $immersion->isPieces),
                $cup->buffer === null => (float) $cup->ph,
                default => Buffer::named($cup->buffer)->phAt((float) $cup->celsius),
            },
            (float) $cup->celsius,
            $immersion->fromMv,
            self::ordinal($immersion),
        );
    }

    /** Counted by electrode, so that the same steps give the same traces in any database. */
    private static function ordinal(Immersion $immersion): int
    {
        return DB::table('bench_immersions')->where('electrode_id', $immersion->electrodeId)->where('id', '<=', $immersion->id)->count();
    }

    /** The true condition of an electrode. */
    public static function condition(int $electrodeId): ElectrodeCondition
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
            (float) $electrode->sensor_error_c,
        );
    }
}
