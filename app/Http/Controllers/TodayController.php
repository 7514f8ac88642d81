<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Rheacid\Today\DayPlan;

final class TodayController
{
    public function __invoke(DayPlan $plan): View
    {
        return view('today.show', ['plan' => $plan, 'buffers' => $plan->buffers()]);
    }
}
