<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Models\Batch;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;

/** Finds a batch, a bottle or an instrument by its code; one hit opens at once. */
final class FindController
{
    public function __invoke(Request $request): View|RedirectResponse
    {
        $asked = $request->input('q');
        $code = is_string($asked) ? mb_substr(trim($asked), 0, 40) : '';
        $like = addcslashes($code, '%_\\') . '%';
        $found = $code === '' ? [] : [
            ...Batch::query()->with('product')->where('code', 'like', $like)->limit(20)->get()->map(static fn(Batch $batch): array => [$batch->code, $batch->product->name, route('batches.show', $batch)])->all(),
            ...Lot::query()->where('code', 'like', $like)->limit(20)->get()->map(static fn(Lot $lot): array => [$lot->code, $lot->label, route('lots.show', $lot)])->all(),
            ...Pair::query()->together()->with(['electrode', 'meter'])->where(static fn(Builder $pair) => $pair->whereRelation('electrode', 'code', 'like', $like)->orWhereRelation('meter', 'code', 'like', $like))->limit(20)->get()->map(static fn(Pair $pair): array => [$pair->electrode->code, $pair->name(), route('pairs.show', $pair)])->all(),
            ...Electrode::query()->where('code', 'like', $like)->whereNotIn('id', Pair::query()->select('electrode_id'))->limit(20)->get()->map(static fn(Electrode $electrode): array => [$electrode->code, "$electrode->name, on no meter", route('pairing')])->all(),
            ...Thermometer::query()->where('code', 'like', $like)->limit(20)->get()->map(static fn(Thermometer $thermometer): array => [$thermometer->code, $thermometer->name, route('thermometers.show', $thermometer)])->all(),
        ];

        // A scanned code is whole, and opens its thing though others begin like it.
        $exact = array_values(array_filter($found, static fn(array $hit): bool => mb_strtolower($hit[0]) === mb_strtolower($code)));
        $found = count($exact) === 1 ? $exact : $found;

        return count($found) === 1 ? redirect()->to($found[0][2]) : view('find', ['code' => $code, 'found' => $found]);
    }
}
