<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Sampling\Places;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;

/** Occasions to which a sample can still belong: brine and solids, three places, drawn together. */
final class OpenOccasions
{
    private const HOURS = 12;
    private const MOST = 6;

    /** @return Collection<int, Occasion> the newest first */
    public static function of(Batch $batch): Collection
    {
        return self::since($batch, CarbonImmutable::now()->subHours(self::HOURS));
    }

    /** @return list<Occasion> those that still wait for a place, the newest first */
    public static function open(Batch $batch): array
    {
        $now = CarbonImmutable::now();

        return array_values(
            self::since($batch, $now->subSeconds((int) (3600 * Places::HOURS * self::MOST)))
                ->filter(static fn(Occasion $one): bool => self::isOpen($one, $batch, $now))
                ->all(),
        );
    }

    /** Whether places that its method asks for can still be drawn with it. */
    public static function isOpen(Occasion $occasion, Batch $batch, CarbonImmutable $now): bool
    {
        return $occasion->end === null && self::lacking($occasion, $batch) !== [] && $now <= Places::until(self::lastDrawn($occasion));
    }

    /** Its time is that of its last draw. */
    public static function lastDrawn(Occasion $occasion): CarbonImmutable
    {
        $last = $occasion->measurements
            ->map(static fn(Measurement $one): CarbonImmutable => CarbonImmutable::instance($one->sample->drawn_at))
            ->max();

        return $last instanceof CarbonImmutable ? $last->max($occasion->drawn_at) : CarbonImmutable::instance($occasion->drawn_at);
    }

    /** @return list<array{measurand: string, basis: string, places: list<string>}> the quantities of which places are missing */
    public static function lacking(Occasion $occasion, Batch $batch): array
    {
        return Places::lacking(
            $batch->product->method->neededPlaces(),
            array_values(
                $occasion->measurements
                    ->map(
                        static fn(Measurement $one): array => [
                            'measurand' => $one->measurand,
                            'basis' => $one->basis,
                            'place' => (string) $one->sample->place,
                        ],
                    )
                    ->all(),
            ),
        );
    }

    public static function words(Occasion $occasion): string
    {
        $places = implode(
            ', ',
            array_unique(
                $occasion->measurements
                    ->map(static fn(Measurement $one): string => $one->measurand->name() . ' of ' . $one->sample->place)
                    ->all(),
            ),
        );

        return ($places === '' ? 'nothing read yet' : $places) . ', ' . $occasion->stage->words();
    }

    /** @return Collection<int, Occasion> */
    private static function since(Batch $batch, CarbonImmutable $since): Collection
    {
        return Occasion::query()
            ->with(['measurements.sample', 'end'])
            ->where('batch_id', $batch->id)
            ->where('drawn_at', '>', $since->format('Y-m-d H:i:s.v'))
            ->orderByDesc('drawn_at')
            ->limit(self::MOST)
            ->get();
    }
}
