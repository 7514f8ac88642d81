<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Simulation\BathKind;
use Rheacid\Core\Simulation\ElectrodeCondition;
use Rheacid\Core\Simulation\Noise;
use Rheacid\Core\Simulation\Scene;
use Rheacid\Core\Simulation\SimulatedBath;
use Rheacid\Core\Simulation\SimulatedBurette;
use Rheacid\Core\Simulation\SimulatedCell;
use Rheacid\Core\Simulation\SimulatedImmersion;
use Rheacid\Core\Simulation\SimulatedSample;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\Batch;
use Rheacid\Models\BoardPart;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Listed;

/** The simulated bench: the only reader of the truth about its electrodes and cups. */
final class SimulatedBench
{
    public const SPEEDS = [1, 5, 10, 30, 60];

    private const DIGIT_MV = 0.1;
    private const ROOM_C = 21.4;

    /** What a standard without a pH of its own is to a pH electrode. */
    private const NO_BUFFER_PH = 5.8;
    /** Places at which the pieces are drawn, not what is around them. */
    private const PIECES = ['solids', 'pieces'];

    private const BURETTES = 3;
    private const SAMPLE_S = 180;
    private const RINSE_S = 20;

    /** What buffers and samples have where no standard is: µS/cm at 25 °C, mV. */
    private const OTHER_LIQUID = ['conductivity' => 4300.0, 'redox' => 180.0];

    /**
     * @param int ...$expected bottles that the work under way asks for, used up by it or not: they stand first
     *
     * @return list<Cup> of the bottles that can be used, by their pH
     */
    public function bottleCups(int ...$expected): array
    {
        $usable = array_map(
            static fn(BottleLine $bottle): int => $bottle->id,
            array_filter(Lines::bottles(), static fn(BottleLine $bottle): bool => $bottle->status()->spent === null),
        );
        $cups = $this->read(static fn(Builder $cups) => $cups->whereIn('bench_cups.lot_id', [...$usable, ...$expected]));
        $place = static fn(Cup $cup): int => ($at = array_search($cup->lotId, array_values($expected), true)) === false
            ? count($expected)
            : $at;
        usort($cups, static fn(Cup $a, Cup $b): int => $place($a) <=> $place($b));

        return $cups;
    }

    /** A batch that is begun in a simulated plant gets its cup on the bench, with what its product usually begins at. */
    public static function draw(Batch $batch): void
    {
        if (DB::table('bench_cups')->exists()) {
            DB::table('bench_cups')->insertOrIgnore([
                'batch_id' => $batch->id,
                'ph' => $batch->product->expected_high_ph,
                'matrix' => $batch->product->method->matrix?->value,
                'celsius' => self::ROOM_C,
            ]);
        }
    }

    /** A bottle that was put on the shelf of a simulated plant gets its cup on the bench. */
    public static function pour(Lot $lot): void
    {
        if (
            DB::table('bench_cups')->exists()
            && in_array($lot->kind, [SolutionKind::Buffer, SolutionKind::Conductivity, SolutionKind::Redox], true)
        ) {
            $isIn = $lot->kind === SolutionKind::Buffer && $lot->buffer()->covers(self::ROOM_C);
            DB::table('bench_cups')->insertOrIgnore([
                'lot_id' => $lot->id,
                'buffer' => null,
                'ph' => $isIn ? $lot->buffer()->phAt(self::ROOM_C) : $lot->nominal_ph ?? self::NO_BUFFER_PH,
                'celsius' => self::ROOM_C,
            ]);
        }
    }

    /** @return list<Cup> of the batches that are running or held, the expected one first */
    public function sampleCups(int $expected): array
    {
        $cups = $this->read(
            static fn(Builder $cups) => $cups->join(
                'board',
                static fn($on) => $on
                    ->on('board.thing_id', '=', 'bench_cups.batch_id')
                    ->where('board.part', BoardPart::Batch->value)
                    ->where('board.is_live', true),
            ),
        );
        usort($cups, static fn(Cup $a, Cup $b): int => ($a->batchId !== $expected) <=> ($b->batchId !== $expected));

        return $cups;
    }

    /**
     * @param callable(Builder): Builder $which
     *
     * @return list<Cup>
     */
    private function read(callable $which): array
    {
        return array_values(
            $which(DB::table('bench_cups'))
                ->leftJoin('lots', 'lots.id', '=', 'bench_cups.lot_id')
                ->leftJoin('batches', 'batches.id', '=', 'bench_cups.batch_id')
                ->orderByRaw('lots.nominal_ph is null, lots.nominal_ph, bench_cups.id')
                ->limit(Listed::MOST)
                ->get([
                    'bench_cups.id',
                    'bench_cups.lot_id',
                    'bench_cups.batch_id',
                    'lots.label',
                    'lots.code as lot',
                    'batches.code as batch',
                ])
                ->map(
                    static fn(object $cup): Cup => new Cup(
                        (int) $cup->id,
                        $cup->lot === null ? "sample of {$cup->batch}" : "{$cup->label} · {$cup->lot}",
                        $cup->lot_id === null ? null : (int) $cup->lot_id,
                        $cup->batch_id === null ? null : (int) $cup->batch_id,
                    ),
                )
                ->all(),
        );
    }

    public function cup(int $id): ?Cup
    {
        return $this->read(fn(Builder $cups) => $cups->where('bench_cups.id', $id))[0] ?? null;
    }

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

    /** Whether a thermometer stands on the bench. */
    public function hasThermometer(Thermometer $thermometer): bool
    {
        return DB::table('bench_thermometers')->where('thermometer_id', $thermometer->id)->exists();
    }

    /**
     * Puts a probe into a bath and waits until it has become stable.
     *
     * @param float $expectedC what a good bath would have
     *
     * @return non-empty-list<float> three readings, ten seconds apart, in °C
     */
    public function dip(Thermometer $thermometer, BathKind $bath, float $expectedC): array
    {
        $probe = DB::table('bench_thermometers')->where('thermometer_id', $thermometer->id)->sole();
        DB::table('bench_thermometers')->where('thermometer_id', $thermometer->id)->increment('dips');
        $trace = (new SimulatedBath(
            $bath->celsius($expectedC),
            (float) $probe->offset_c,
            (float) $probe->gain,
            (float) $probe->time_constant_s,
            (float) $probe->noise_c,
            (int) $probe->seed * 1000 + (int) $probe->dips,
        ))->trace(self::SAMPLE_S, $thermometer->resolution_c);
        $end = count($trace) - 1;

        return [$trace[$end - 20][1], $trace[$end - 10][1], $trace[$end][1]];
    }

    /** What a logger would have written of a calibration on 7.00 and 4.01 with a read-back: one point a second, a silence while rinsing. */
    public function sampleLog(Pair $pair): string
    {
        $lines = ['time s;potential mV;temperature °C'];
        $clock = 0;
        $from = 0.0;
        foreach (['technical-7.00', 'technical-4.01', 'technical-7.00'] as $seed => $buffer) {
            $immersion = new SimulatedImmersion(
                $this->condition($pair->electrode_id),
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

        $sample = $cup->matrix === null ? null : self::sample($cup);
        $condition = $this->condition($immersion->electrodeId);

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

    private static function sample(\stdClass $cup): SimulatedSample
    {
        return SimulatedSample::of(Matrix::tryFrom((string) $cup->matrix), (float) $cup->ph);
    }

    /** Whether a burette and a sample of that batch stand on the bench. */
    public function canTitrate(Batch $batch): bool
    {
        return DB::table('bench_cups')->where('batch_id', $batch->id)->exists();
    }

    /** Opens the simulated burette over a sample of a batch. */
    public function openBurette(Person $by, Batch $batch, Pair $pair, float $sampleMl, float $normality, int $speed): int
    {
        return DB::table('bench_burettes')->insertGetId([
            'batch_id' => $batch->id,
            'pair_id' => $pair->id,
            'person_id' => $by->id,
            'sample_ml' => $sampleMl,
            'normality' => $normality,
            'speed' => in_array($speed, self::SPEEDS, true) ? $speed : 1,
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
    public function burettes(Batch $batch, array $ids): array
    {
        $burettes = [];
        foreach (
            DB::table('bench_burettes')
                ->where('batch_id', $batch
                ->id)
                ->whereIn('id', $ids)
                ->orderBy('id')
                ->limit(self::BURETTES)
                ->get() as $row
        ) {
            $pair = Pair::query()->with('newestCalibration.points')->findOrFail((int) $row->pair_id);
            $function = $pair->newestCalibration?->calibrationFunction();
            $cup = DB::table('bench_cups')->where('batch_id', $batch->id)->sole();
            $elapsed
                = (CarbonImmutable::parse((string) $row->at, 'UTC')->diffInMilliseconds(CarbonImmutable::now()) / 1000) * (int) $row->speed;
            $noise = new Noise((int) $row->id);
            $condition = $this->condition($pair->electrode_id);
            $points = [];
            $true = (new SimulatedBurette(self::sample($cup)->solution(), (float) $row->sample_ml, (float) $row->normality))->points(
                max(0.0, $elapsed),
            );
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

    /** Counted by electrode, so that the same steps give the same traces in any database. */
    private static function ordinal(Immersion $immersion): int
    {
        return DB::table('bench_immersions')->where('electrode_id', $immersion->electrodeId)->where('id', '<=', $immersion->id)->count();
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
            (float) $electrode->sensor_error_c,
        );
    }
}
