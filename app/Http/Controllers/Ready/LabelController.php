<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Rheacid\View\Ready\Labels;

/** Labels to print, so that look-alikes are not mixed up. */
final class LabelController
{
    public function __invoke(Request $request): View
    {
        $only = $request->input('code');

        return view('ready.labels', ['labels' => Labels::all(is_string($only) ? $only : null)]);
    }
}
