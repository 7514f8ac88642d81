<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Rheacid\View\Measure\RepeatabilityScreen;

/** What samples that were read twice under two codes say about the site's own repeatability. */
final class RepeatabilityController
{
    public function __invoke(): View
    {
        return view('rounds.repeatability', ['screen' => RepeatabilityScreen::of()]);
    }
}
