<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Rheacid\View\Site\SystemScreen;

/** The description of the installation, to print for an auditor. */
final class SystemController
{
    public function __invoke(): View
    {
        return view('people.system', ['screen' => SystemScreen::of()]);
    }
}
