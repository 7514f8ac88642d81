<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Electrode;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** An electrode is in one run, one measurement or one check at a time, and only who holds that work moves it. */
final class Occupancy
{
    /**
     * Before other work is begun with it.
     *
     * @throws Refused while it is in a run or a measurement
     */
    public static function ensureFree(Electrode $electrode): void
    {
        $work = self::work($electrode);
        if ($work !== null) {
            throw Refused::because(
                sprintf(
                    '%s is %s with %s since %s. Finish or leave that first; somebody else takes it over with a reason.',
                    $work->holder->name,
                    $work instanceof CalibrationRun ? 'calibrating' : 'measuring',
                    $electrode->code,
                    SiteClock::short($work->opened_at),
                ),
                'pair',
            );
        }
    }

    /**
     * Before it is moved.
     *
     * @param CalibrationRun|MeasurementDraft|null $for the work that moves it
     *
     * @throws Refused if it is in other work, or in other hands
     */
    public static function ensureMovable(Person $by, Electrode $electrode, CalibrationRun|MeasurementDraft|null $for): void
    {
        $work = self::work($electrode);
        $isOwn = $work !== null && $for !== null && $work->is($for) && $work->holder_id === $by->id;
        if ($work !== null && !$isOwn) {
            throw Refused::because(
                sprintf(
                    '%s has %s in hand since %s; only who holds that work moves the electrode.',
                    $work->holder->name,
                    $electrode->code,
                    SiteClock::short($work->opened_at),
                ),
                'cup',
            );
        }
    }

    public static function work(Electrode $electrode): CalibrationRun|MeasurementDraft|null
    {
        return CalibrationRun::query()
            ->whereNotNull('open_pair_id')
            ->whereRelation('pair', 'electrode_id', $electrode->id)
            ->with('holder')
            ->first()
            ?? MeasurementDraft::query()
                ->whereNotNull('open_pair_id')
                ->whereRelation('pair', 'electrode_id', $electrode->id)
                ->with('holder')
                ->first();
    }
}
