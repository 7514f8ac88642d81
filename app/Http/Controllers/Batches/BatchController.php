<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Batches;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Rheacid\Models\Batch;
use Rheacid\Models\Product;
use Rheacid\Queries\Board\BatchFilter;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Listed;
use Rheacid\View\Batches\BatchScreen;

/** Batches and their series of readings. */
final class BatchController
{
    public function index(Request $request): View
    {
        $filter = BatchFilter::from($request->query());
        [$page, $lines] = Lines::batchPage($filter);

        return view('batches.index', [
            'page' => $page->withQueryString(),
            'lines' => $lines,
            'filter' => $filter,
            'products' => Product::names(Listed::MOST),
            'vessels' => Lines::vessels(),
        ]);
    }

    public function show(Request $request, Batch $batch): View
    {
        $hours = static fn(string $field): ?float => is_numeric($request->query($field)) ? (float) $request->query($field) : null;

        return view('batches.show', [
            'screen' => BatchScreen::of($batch, [
                'from' => $hours('from'),
                'to' => $hours('to'),
                'compares' => $request->query('compare') === '1',
            ]),
        ]);
    }
}
