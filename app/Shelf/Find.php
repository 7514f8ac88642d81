<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Illuminate\Database\Eloquent\Builder;
use Rheacid\Models\Batch;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;

/** What stands under a code. */
final class Find
{
    /** No code is longer. */
    public const LONGEST = 40;

    private const OF_EACH = 20;

    /** @return list<array{string, string, string}> code, what it is, address */
    public static function byCode(string $code): array
    {
        if ($code === '') {
            return [];
        }
        $like = addcslashes($code, '%_\\') . '%';
        $found = [
            ...Batch::query()->with('product')->where('code', 'like', $like)->limit(self::OF_EACH)->get()->map(static fn(Batch $batch): array => [$batch->code, $batch->product->name, route('batches.show', $batch)])->all(),
            ...Lot::query()->where('code', 'like', $like)->limit(self::OF_EACH)->get()->map(static fn(Lot $lot): array => [$lot->code, $lot->label, route('lots.show', $lot)])->all(),
            ...Pair::query()->together()->with(['electrode', 'meter'])->where(static fn(Builder $pair) => $pair->whereRelation('electrode', 'code', 'like', $like)->orWhereRelation('meter', 'code', 'like', $like))->limit(self::OF_EACH)->get()->map(static fn(Pair $pair): array => [$pair->electrode->code, $pair->name(), route('pairs.show', $pair)])->all(),
            ...Electrode::query()->where('code', 'like', $like)->whereNotIn('id', Pair::query()->select('electrode_id'))->limit(self::OF_EACH)->get()->map(static fn(Electrode $electrode): array => [$electrode->code, "$electrode->name, on no meter", route('pairing')])->all(),
            ...Thermometer::query()->where('code', 'like', $like)->limit(self::OF_EACH)->get()->map(static fn(Thermometer $thermometer): array => [$thermometer->code, $thermometer->name, route('thermometers.show', $thermometer)])->all(),
        ];
        // A scanned code is whole, and opens its thing though others begin like it.
        $exact = array_values(array_filter($found, static fn(array $hit): bool => mb_strtolower($hit[0]) === mb_strtolower($code)));

        return count($exact) === 1 ? $exact : $found;
    }
}
