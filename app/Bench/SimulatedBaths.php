<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Simulation\BathKind;
use Rheacid\Core\Simulation\SimulatedBath;
use Rheacid\Models\Thermometer;

/** The thermometers of the simulated bench in a bath. */
final class SimulatedBaths
{
    private const SAMPLE_S = 180;

    /** Whether a thermometer stands on the bench. */
    public static function hasThermometer(Thermometer $thermometer): bool
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
    public static function dip(Thermometer $thermometer, BathKind $bath, float $expectedC): array
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
}
