<?php

declare(strict_types=1);

namespace Rheacid\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;

/** Occasions to which a sample can still belong: brine and solids, three places, drawn together. */
final class Together
{
    private const HOURS = 12;
    private const MOST = 6;

    /** @return Collection<int, Occasion> the newest first */
    public static function of(Batch $batch): Collection
    {
        return Occasion::query()->with('measurements.sample')->where('batch_id', $batch->id)->where('drawn_at', '>', CarbonImmutable::now()->subHours(self::HOURS)->format('Y-m-d H:i:s.v'))->orderByDesc('drawn_at')->limit(self::MOST)->get();
    }

    /** @return list<string> places that its method needs and that were not read */
    public static function lacks(Occasion $occasion, Batch $batch): array
    {
        return array_values(array_diff($batch->product->method->neededPlaces(), $occasion->measurements->map(static fn(Measurement $one): string => (string) $one->sample->place)->all()));
    }

    public static function words(Occasion $occasion): string
    {
        $places = implode(', ', array_unique($occasion->measurements->map(static fn(Measurement $one): string => $one->measurand->name() . ' of ' . $one->sample->place)->all()));

        return ($places === '' ? 'nothing read yet' : $places) . ', ' . $occasion->stage->words();
    }
}
