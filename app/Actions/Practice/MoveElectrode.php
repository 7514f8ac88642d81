<?php

declare(strict_types=1);

namespace Rheacid\Actions\Practice;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Rheacid\Actions\Calibrate\LotUses;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Access\Right;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\LotUse;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\Site;
use Rheacid\Queries\Ready\Occupancy;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Puts the electrode of the simulated bench into a cup, the wrong one too. */
final readonly class MoveElectrode
{
    public function __construct(private SimulatedBench $bench) {}

    /**
     * @param int $speed how many simulated seconds pass in a second
     * @param CalibrationRun|MeasurementDraft|null $for the work under way that moves it; a run takes one use of the bottle
     *
     * @throws Refused if there is no such cup, or the electrode is in other work
     */
    public function __invoke(
        Person $by,
        Electrode $electrode,
        int $cupId,
        int $speed,
        CalibrationRun|MeasurementDraft|null $for = null,
    ): void {
        Gate::forUser($by)->authorize(Right::Record->value);
        Occupancy::ensureMovable($by, $electrode, $for);
        $cup = SimulatedCups::cup($cupId) ?? throw Refused::because('There is no such cup on the bench.', 'cup');
        DB::table('bench_immersions')->insert([
            'electrode_id' => $electrode->id,
            'bench_cup_id' => $cup->id,
            'at' => CarbonImmutable::now()->format('Y-m-d H:i:s.v'),
            'speed' => in_array($speed, SimulatedBench::SPEEDS, true) ? $speed : 1,
            'from_mv' => $this->bench->standsAt($electrode),
            'place' => $for instanceof MeasurementDraft ? $for->sample->place : null,
            'pours' => $for instanceof MeasurementDraft ? (int) $for->pours : 0,
            'diluted' => $for instanceof MeasurementDraft && $for->diluted,
        ]);
        // Nothing is poured from a real bottle at the simulated bench; in the demo the bottles are as invented as the bench.
        $used = Site::isDemo() && $for instanceof CalibrationRun && $cup->lotId !== null
            ? LotUses::needed($for, Lot::query()->findOrFail($cup->lotId))
            : [];
        if ($used !== []) {
            Recording::once(
                $by,
                IdempotencyKey::own(),
                'use a bottle',
                LotUse::class,
                static fn(Entry $entry): Model => LotUses::keep($entry, $used) ?? throw new \LogicException('Something is kept.'),
            );
        }
    }
}
