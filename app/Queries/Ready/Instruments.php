<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Illuminate\Support\Collection;
use Rheacid\Models\Electrode;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Listed;
use Rheacid\Records\Refused;

/** Meters and electrodes by their code. */
final class Instruments
{
    /** @return Collection<int, Meter> */
    public static function meters(): Collection
    {
        return Meter::query()->orderBy('code')->limit(Listed::MOST)->get();
    }

    /** @return Collection<int, Electrode> */
    public static function electrodes(): Collection
    {
        return Electrode::query()->orderBy('code')->limit(Listed::MOST)->get();
    }

    /** @return Collection<int, Electrode> on no meter, nor retired */
    public static function alone(): Collection
    {
        return Electrode::query()
            ->whereNotIn('id', Pair::query()->together()->select('electrode_id'))
            ->withCount('retirements')
            ->orderBy('code')
            ->limit(Listed::MOST)
            ->get();
    }

    /** @throws Refused */
    public static function meter(string $code): Meter
    {
        return Meter::query()->where('code', $code)->first() ?? throw self::unknown($code, 'meter', 'a meter');
    }

    public static function isMeter(string $code): bool
    {
        return Meter::query()->where('code', $code)->exists();
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

    /** With what it may vouch for; null where there is none of that code. */
    public static function referenceThermometer(string $code): ?Thermometer
    {
        return Thermometer::query()
            ->with(['newestService', 'newestVerification.outcome'])
            ->where('code', $code)
            ->first();
    }

    private static function unknown(string $code, string $field, string $needed): Refused
    {
        $owner = CodeOwner::of($code);

        return Refused::because(
            $owner === null ? "There is no $code. Type the code of $needed." : "$code is $owner. Type the code of $needed.",
            $field,
        );
    }
}
