<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Rheacid\Find\Doors;

/** The doors to everything that belongs to the site rather than to one instrument or batch. */
final class SiteController
{
    public function __invoke(): View
    {
        return view('site', ['sections' => Doors::site()]);
    }
}
