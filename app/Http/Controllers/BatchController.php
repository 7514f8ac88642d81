<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Rheacid\Board\Lines;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Models\Batch;
use Rheacid\View\BatchScreen;

/** Batches and their series of readings. */
final class BatchController
{
    public function index(Request $request): View
    {
        $state = $request->query('state');
        $search = $request->query('code');
        $state = is_string($state) ? BatchState::tryFrom($state) : null;
        $search = is_string($search) ? mb_substr(trim($search), 0, 20) : '';

        [$page, $lines] = Lines::batchPage($state, $search);

        return view('batches.index', ['page' => $page->withQueryString(), 'lines' => $lines, 'state' => $state, 'search' => $search]);
    }

    public function show(Request $request, Batch $batch): View
    {
        $hours = static fn(string $field): ?float => is_numeric($request->query($field)) ? (float) $request->query($field) : null;

        return view('batches.show', ['screen' => BatchScreen::of($batch, ['from' => $hours('from'), 'to' => $hours('to'), 'compares' => $request->query('compare') === '1'])]);
    }
}
