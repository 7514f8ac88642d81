<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Illuminate\Support\Collection;
use Rheacid\Board\Lines;
use Rheacid\Models\Electrode;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Refused;

/** Meters and electrodes by their code. */
final class Instruments
{
    /** @return Collection<int, Meter> */
    public static function meters(): Collection
    {
        return Meter::query()->orderBy('code')->limit(Lines::MOST)->get();
    }

    /** @return Collection<int, Electrode> */
    public static function electrodes(): Collection
    {
        return Electrode::query()->orderBy('code')->limit(Lines::MOST)->get();
    }

    /** @return Collection<int, Electrode> on no meter, nor retired */
    public static function alone(): Collection
    {
        return Electrode::query()
            ->whereNotIn('id', Pair::query()->together()->select('electrode_id'))
            ->withCount('retirements')
            ->orderBy('code')
            ->limit(Lines::MOST)
            ->get();
    }

    /** @throws Refused */
    public static function meter(string $code): Meter
    {
        return Meter::query()->where('code', $code)->first() ?? throw self::unknown($code, 'meter', 'a meter');
    }

    /** @throws Refused */
    public static function electrode(string $code): Electrode
    {
        return Electrode::query()->where('code', $code)->first() ?? throw self::unknown($code, 'electrode', 'an electrode');
    }

    public static function pair(int $id): Pair
    {
        return Pair::query()->findOrFail($id);
    }

    public static function thermometer(int $id): Thermometer
    {
        return Thermometer::query()->findOrFail($id);
    }

    private static function unknown(string $code, string $field, string $needed): Refused
    {
        $owner = NewThing::owner($code);

        return Refused::because(
            $owner === null ? "There is no $code. Type the code of $needed." : "$code is $owner. Type the code of $needed.",
            $field,
        );
    }
}
