<?php

declare(strict_types=1);

namespace Rheacid\Actions\Bench;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\LotEvent;
use Rheacid\Models\LotUse;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;

/** Puts the electrode of the simulated bench into a cup, the wrong one too. */
final readonly class MoveElectrode
{
    public function __construct(private SimulatedBench $bench) {}

    /**
     * @param int $speed how many simulated seconds pass in a second
     * @param CalibrationRun|null $run a run that is under way: the bottle loses one use to it
     */
    public function __invoke(Person $by, Electrode $electrode, int $cupId, int $speed, ?CalibrationRun $run = null): void
    {
        $cups = array_column($this->bench->cups(), null, 'id');
        $cup = $cups[$cupId] ?? throw Refused::because('There is no such cup on the bench.', 'cup');
        DB::table('bench_immersions')->insert([
            'electrode_id' => $electrode->id,
            'bench_cup_id' => $cup->id,
            'at' => CarbonImmutable::now()->format('Y-m-d H:i:s.v'),
            'speed' => in_array($speed, SimulatedBench::SPEEDS, true) ? $speed : 1,
            'from_mv' => $this->bench->standsAt($electrode),
        ]);
        if ($run !== null && $cup->lotId !== null && LotUse::query()->where(['lot_id' => $cup->lotId, 'calibration_run_id' => $run->id])->doesntExist()) {
            Recording::once($by, IdempotencyKey::own(), 'use a bottle', LotUse::class, static fn(Entry $entry): LotUse => self::useLot($entry, $run, $cup->lotId));
        }
    }

    /** A bottle loses one use per run, at its first immersion. */
    public static function useLot(Entry $entry, CalibrationRun $run, int $lotId): LotUse
    {
        $used = ['lot_id' => $lotId, 'calibration_run_id' => $run->id];

        $earlier = LotUse::query()->where($used)->first();
        if ($earlier !== null) {
            return $earlier;
        }
        self::openLot($entry, $lotId);

        return $entry->add(new LotUse([...$used, 'at' => $entry->at]));
    }

    /** A bottle that is used is open, whether anybody said so or not. */
    public static function openLot(Entry $entry, int $lotId): void
    {
        $lot = Lot::query()->with('events')->findOrFail($lotId);
        if ($lot->openedOn() === null) {
            $entry->add(new LotEvent(['lot_id' => $lotId, 'kind' => 'opened', 'note' => 'first use', 'at' => $entry->at, 'person_id' => $entry->by->id]));
        }
    }
}
