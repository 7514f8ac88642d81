<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Models\Batch;
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
            ...Pair::query()->with(['electrode', 'meter'])->whereRelation('electrode', 'code', 'like', $like)->orWhereRelation('meter', 'code', 'like', $like)->limit(20)->get()->map(static fn(Pair $pair): array => [$pair->electrode->code, $pair->name(), route('pairs.show', $pair)])->all(),
            ...Thermometer::query()->where('code', 'like', $like)->limit(20)->get()->map(static fn(Thermometer $thermometer): array => [$thermometer->code, $thermometer->name, route('thermometers.show', $thermometer)])->all(),
        ];

        return count($found) === 1 ? redirect()->to($found[0][2]) : view('find', ['code' => $code, 'found' => $found]);
    }
}
